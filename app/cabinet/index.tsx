import { CabinetScreen } from '@/features/lazy';

export default function CabinetRoute() {
  return <CabinetScreen chosen={null} />;
}
