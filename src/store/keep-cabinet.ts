import { mergeCabinets } from '@/core/cabinet/edit';
import type { Cabinet } from '@/core/cabinet/schema';
import { CoreError } from '@/core/errors';
import { readCabinet } from '@/core/formats';
import { cabinetArrived } from './cabinet';
import { CABINET_KEY, SET_ASIDE_KEY } from './documents';
import type { Surroundings } from './keeper';
import type { Store } from './store';

interface CabinetWrite {
  cabinet: Cabinet;
  /** What goes into storage, by key. */
  entries: Record<string, string>;
}

const writeOf = (cabinet: Cabinet, aside: string | null): CabinetWrite => ({
  cabinet,
  entries: {
    [CABINET_KEY]: JSON.stringify(cabinet),
    ...(aside === null ? {} : { [SET_ASIDE_KEY]: aside }),
  },
});

const readable = (raw: string): Cabinet | null => {
  try {
    return readCabinet(JSON.parse(raw));
  } catch (error) {
    if (error instanceof CoreError && error.code === 'document-too-new') throw error;
    return null;
  }
};

/** The cabinet's part in keeping: what storage holds of it, as far as this tab knows. */
export function cabinetKeeping(store: Store, { storage }: Pick<Surroundings, 'storage'>) {
  const here = (): Cabinet => store.getState().cabinet;
  let kept: Cabinet = here();

  return {
    dirty: (): boolean => kept !== here(),

    /**
     * What to write: the cabinet, merged with what another tab has written since; null when nothing changed.
     * What storage holds but nobody can read is written beside it, so that it is not lost. Throws
     * `document-too-new`: what a later edition wrote is left alone.
     */
    async toWrite(): Promise<CabinetWrite | null> {
      if (kept === here()) return null;
      const raw = await storage.getItem(CABINET_KEY);
      if (raw === null) return writeOf(here(), null);
      const theirs = readable(raw);
      if (theirs === null) return writeOf(here(), raw);
      if (theirs.revision === kept.revision) return writeOf(here(), null);
      const merged = mergeCabinets(kept, here(), theirs);
      store.dispatch(cabinetArrived(merged));
      return writeOf(merged, null);
    },

    written(cabinet: Cabinet): void {
      kept = cabinet;
    },

    /** Read at the start; null when storage has none yet. */
    loaded(cabinet: Cabinet | null): void {
      if (cabinet) store.dispatch(cabinetArrived(cabinet));
      kept = here();
    },

    /** Another tab wrote it. One that is changed here as well is merged when it is written. */
    arrived(raw: string | null): void {
      if (raw === null || kept !== here()) return;
      kept = readCabinet(JSON.parse(raw));
      store.dispatch(cabinetArrived(kept));
    },
  };
}
