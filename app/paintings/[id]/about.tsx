import { AboutPaintingScreen } from '@/features/desk';
import { useParam } from '@/features/params';

export default function AboutRoute() {
  return <AboutPaintingScreen id={useParam('id') ?? ''} />;
}
