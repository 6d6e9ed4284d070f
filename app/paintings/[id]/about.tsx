import { AboutPaintingScreen } from '@/features/lazy';
import { useParam } from '@/features/params';

export default function AboutRoute() {
  return <AboutPaintingScreen id={useParam('id') ?? ''} />;
}
