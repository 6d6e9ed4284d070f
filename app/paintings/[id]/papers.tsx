import { PapersScreen } from '@/features/lazy';
import { useParam } from '@/features/params';

export default function PapersRoute() {
  return <PapersScreen id={useParam('id') ?? ''} />;
}
