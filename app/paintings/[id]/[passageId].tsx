import { useParam } from '@/features/params';
import { SectionScreen } from '@/features/lazy';

export default function SectionRoute() {
  const passageId = useParam('passageId') ?? '';
  return <SectionScreen key={passageId} id={useParam('id') ?? ''} passageId={passageId} />;
}
