import { useEffect } from 'react';
import { View } from 'react-native';
import { useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { colour, space } from '@/ui/tokens';
import { useKeeper } from './KeeperContext';

/** While something is not written yet, leaving the page asks first: what storage has not got would be gone. */
function useAskBeforeLeaving(unsaved: boolean): void {
  useEffect(() => {
    if (!unsaved) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [unsaved]);
}

/** Only when something was not saved: what, why, and a way to try again. */
export function SavingBar() {
  const { phase, reason } = useStoreSelector((state) => state.saving);
  const keeper = useKeeper();
  useAskBeforeLeaving(phase === 'pending' || phase === 'failed');
  if (phase !== 'failed') return null;
  return (
    <View style={{ paddingHorizontal: space.xl, backgroundColor: colour.sheet }}>
      <Notice
        tone="refusal"
        action={<Action title="Try again" onPress={() => void keeper.start()} />}
      >
        {`Not saved: ${reason ?? 'the store did not answer'}. It stays here while this page is open, and is tried again by itself. To be safe, export the studio in Settings.`}
      </Notice>
    </View>
  );
}
