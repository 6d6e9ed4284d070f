import { GlazeScreen } from '@/features/lazy';
import { useParam } from '@/features/params';

export default function GlazeRoute() {
  return (
    <GlazeScreen
      paintingId={useParam('painting')}
      passageId={useParam('passage')}
      coatId={useParam('coat')}
    />
  );
}
