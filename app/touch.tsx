import { TouchScreen } from '@/features/desk';
import { useParam } from '@/features/params';

export default function TouchRoute() {
  return <TouchScreen painting={useParam('painting')} passage={useParam('passage')} />;
}
