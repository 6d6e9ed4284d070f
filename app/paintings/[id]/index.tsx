import { PaintingScreen } from '@/features/desk';
import { useParam } from '@/features/params';

export default function PaintingRoute() {
  return <PaintingScreen id={useParam('id') ?? ''} />;
}
