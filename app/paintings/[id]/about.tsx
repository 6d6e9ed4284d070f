import { AboutPaintingScreen } from '@/features/painting/AboutPaintingScreen';
import { useParam } from '@/features/params';

export default function AboutRoute() {
  return <AboutPaintingScreen id={useParam('id') ?? ''} />;
}
