import { PaintingScreen } from '@/features/painting/PaintingScreen';
import { useParam } from '@/features/params';

export default function PaintingRoute() {
  return <PaintingScreen id={useParam('id') ?? ''} />;
}
