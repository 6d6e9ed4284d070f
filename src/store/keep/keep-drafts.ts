import { seal } from '@/core/formats/seal';
import { draftDropped, draftKept } from '../drafts';
import type { Storage } from '../storage';
import type { Store } from '../store';
import { keyOf } from './documents';

/** A pause in typing, after which what was typed is written: within a second, and not with every letter. */
const WRITE_AFTER_MS = 250;

/** Writes drafts as they change. What cannot be written now is written with the next change; the form has it anyway. */
export function keepDrafts(store: Store, storage: Storage): () => void {
  let written = store.getState().drafts;
  async function write(): Promise<void> {
    const now = store.getState().drafts;
    const entries: Record<string, string> = {};
    for (const [key, draft] of Object.entries(now))
      if (draft && written[key] !== draft) entries[keyOf('draft', key)] = seal(draft);
    const gone = Object.keys(written).filter((key) => written[key] && !now[key]);
    if (Object.keys(entries).length > 0) await storage.setMany(entries);
    if (gone.length > 0) await storage.removeMany(gone.map((key) => keyOf('draft', key)));
    written = now;
  }
  return store.listen({
    matcher: (action): action is ReturnType<typeof draftKept> | ReturnType<typeof draftDropped> =>
      draftKept.match(action) || draftDropped.match(action),
    effect: async (action, { cancelActiveListeners, delay }) => {
      cancelActiveListeners();
      // A draft that is done with must not come back after a reload, however soon that is.
      if (draftKept.match(action)) await delay(WRITE_AFTER_MS);
      await write().catch(() => undefined);
    },
  });
}
