import { YearScreen } from '@/features/lazy';

export default function MoneyRoute() {
  return <YearScreen />;
}
