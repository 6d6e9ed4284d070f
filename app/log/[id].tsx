import { SessionPageScreen } from '@/features/lazy';
import { useParam } from '@/features/params';

export default function SessionPageRoute() {
  const id = useParam('id') ?? '';
  return <SessionPageScreen key={id} id={id} />;
}
