import { LookScreen } from '@/features/lazy';
import { useParam } from '@/features/params';

export default function LookRoute() {
  return <LookScreen id={useParam('id') ?? ''} />;
}
