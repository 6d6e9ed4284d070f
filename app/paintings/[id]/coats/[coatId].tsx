import { CoatScreen } from '@/features/lazy';
import { useParam } from '@/features/params';

export default function CoatRoute() {
  return (
    <CoatScreen
      id={useParam('id') ?? ''}
      coatId={useParam('coatId') ?? ''}
      passageId={useParam('passage')}
      afterId={useParam('after')}
      asRecord={useParam('record') !== null}
    />
  );
}
