import { FinishScreen } from '@/features/lazy';
import { useParam } from '@/features/params';

export default function FinishRoute() {
  return <FinishScreen id={useParam('id') ?? ''} />;
}
