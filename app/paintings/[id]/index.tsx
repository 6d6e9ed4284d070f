import { PaintingScreen } from '@/features/lazy';
import { useParam } from '@/features/params';

export default function PaintingRoute() {
  return <PaintingScreen id={useParam('id') ?? ''} />;
}
