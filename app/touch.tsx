import { TouchScreen } from '@/features/lazy';
import { useParam } from '@/features/params';

export default function TouchRoute() {
  return <TouchScreen painting={useParam('painting')} passage={useParam('passage')} />;
}
