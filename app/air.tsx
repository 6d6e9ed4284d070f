import { AirScreen } from '@/features/lazy';

export default function AirRoute() {
  return <AirScreen />;
}
