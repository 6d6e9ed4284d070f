import { DatesScreen } from '@/features/lazy';
import { useParam } from '@/features/params';

export default function DatesRoute() {
  const id = useParam('id') ?? '';
  return <DatesScreen key={id} id={id} />;
}
