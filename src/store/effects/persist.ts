import { writeHeld } from '../saving';
import type { Store } from '../store';

/** Asks the browser, once something is kept, not to clear the store by itself when room runs out. It may say no. */
export function askToPersist(store: Store, ask: () => Promise<unknown>): () => void {
  let asked = false;
  return store.listen({
    actionCreator: writeHeld,
    effect: async () => {
      if (asked) return;
      asked = true;
      await ask().catch(() => undefined);
    },
  });
}
