import { useEffect } from 'react';
import { useStore } from 'react-redux';
import { loadKit } from '@/pieces';
import { openDemoStudio } from '@/features/keep/demo';
import type { State, Store } from '@/store/store';

async function servedAsDemo(): Promise<boolean> {
  const response = await fetch('/api/studio');
  if (!response.ok) return false;
  // The schema of the answer comes once the server has answered: an own studio does without it.
  await loadKit();
  const { isDemo } = await import('@/features/keep/served');
  return isDemo(await response.json());
}

const isPristine = (state: State): boolean =>
  state.paintings.ids.length === 0 &&
  state.undo.changes.length === 0 &&
  state.studio.revision === 0 &&
  state.saving.unreadable.length === 0;

/** When the server was started for the demo and the studio is empty, the demo studio is opened. Once. */
export function AutoDemo() {
  const store = useStore() as Store;
  useEffect(() => {
    // Only at the start: a studio that is emptied later stays empty.
    if (!isPristine(store.getState())) return;
    let gone = false;
    const wanted = () => !gone && isPristine(store.getState());
    servedAsDemo()
      .then(async (demo) => {
        if (demo && wanted()) await openDemoStudio(store.dispatch, wanted);
      })
      // Without a server that answers, the studio simply stays empty.
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [store]);
  return null;
}
