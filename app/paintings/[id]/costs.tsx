import { CostsScreen } from '@/features/lazy';
import { useParam } from '@/features/params';

export default function CostsRoute() {
  return <CostsScreen id={useParam('id') ?? ''} />;
}
