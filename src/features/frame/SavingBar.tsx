import { useEffect } from 'react';
import { View } from 'react-native';
import { useExport } from '@/features/keep/useExport';
import { nameOfKey } from '@/store/keep/documents';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { changeDeclined } from '@/store/saving';
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

const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Only when something was not saved or not done: what, why, and what to do. */
export function SavingBar() {
  const { phase, reason, refused, declined, later } = useStoreSelector((state) => state.saving);
  const keeper = useKeeper();
  const dispatch = useStoreDispatch();
  const exporting = useExport();
  const unsaved = phase === 'pending' || phase === 'failed' || refused.length > 0;
  useAskBeforeLeaving(unsaved);
  const exportNow = <Action title="Export now" onPress={() => void exporting.save()} />;
  return (
    <View style={{ paddingHorizontal: space.xl, backgroundColor: colour.sheet }}>
      {phase === 'failed' ? (
        <Notice
          tone="refusal"
          action={
            <View style={{ flexDirection: 'row', gap: space.m, flexWrap: 'wrap' }}>
              <Action title="Try again" onPress={() => void keeper.again()} />
              {exportNow}
            </View>
          }
        >
          {`Not saved. ${reason ?? 'The store did not answer'}. Work goes on in this page and is tried again by itself; to be safe, export the studio.`}
        </Notice>
      ) : null}
      {refused.map(({ key, message }) => (
        <Notice key={key} tone="refusal" action={exportNow}>
          {`${sentence(nameOfKey(key))} is not kept as it is now. ${sentence(message)} Everything else is.`}
        </Notice>
      ))}
      {declined ? (
        <Notice
          tone="refusal"
          action={<Action title="Put away" onPress={() => dispatch(changeDeclined(null))} />}
        >
          {declined}
        </Notice>
      ) : null}
      {later ? (
        <Notice>
          Another tab runs a later edition of Tawny Hour. Reload this page when it suits you; until
          then it does not show what the other changes.
        </Notice>
      ) : null}
      {exporting.failure ? <Notice tone="refusal">{exporting.failure}</Notice> : null}
    </View>
  );
}
