import { useParam } from '@/features/params';
import { SectionScreen } from '@/features/desk';

export default function SectionRoute() {
  const passageId = useParam('passageId') ?? '';
  return <SectionScreen key={passageId} id={useParam('id') ?? ''} passageId={passageId} />;
}
