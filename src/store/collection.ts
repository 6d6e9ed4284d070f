import type { Storage } from './storage';

interface Kept {
  id: string;
  revision: number;
}

/** A kind of document of which the store holds many, one stored document each. */
export interface Collection<T extends Kept> {
  prefix: string;
  /** What the store holds, by id. */
  here(): Record<string, T | undefined>;
  read(raw: unknown): T;
  /** Two descendants of one document; `base` null where both tabs began one of the same name. */
  merge(base: T | null, mine: T, theirs: T): T;
  arrived(document: T): void;
  left(id: string): void;
}

/** What is to be written of a collection, and what to do once it is. */
export interface CollectionWrite {
  entries: Record<string, string>;
  removedKeys: string[];
  held(): void;
}

/** A collection's part in keeping: what storage holds of it, as far as this tab knows; by reference. */
export function collectionKeeping<T extends Kept>(
  { prefix, here, read, merge, arrived, left }: Collection<T>,
  storage: Pick<Storage, 'getItem'>,
) {
  const kept = new Map<string, T>();
  const keyOf = (id: string): string => `${prefix}${id}`;
  const all = (): T[] => Object.values(here()).filter((d): d is T => d !== undefined);
  const changed = (): T[] => all().filter((d) => kept.get(d.id) !== d);
  const removed = (): string[] => [...kept.keys()].filter((id) => !here()[id]);

  /**
   * The newest of a document: merged with what another tab has written since. Reads the store only after the wait
   * for storage, so that a change made meanwhile is not lost. Null when it is gone.
   */
  async function reconcile(id: string): Promise<T | null> {
    const raw = await storage.getItem(keyOf(id));
    const mine = here()[id];
    if (!mine || raw === null) return mine ?? null;
    const base = kept.get(id) ?? null;
    const theirs = read(JSON.parse(raw));
    if (base && theirs.revision === base.revision) return mine;
    const merged = merge(base, mine, theirs);
    arrived(merged);
    return merged;
  }

  return {
    dirty: (): boolean => changed().length > 0 || removed().length > 0,

    async toWrite(): Promise<CollectionWrite> {
      const entries: Record<string, string> = {};
      const written: T[] = [];
      for (const { id } of changed()) {
        const newest = await reconcile(id);
        if (!newest) continue;
        entries[keyOf(id)] = JSON.stringify(newest);
        written.push(newest);
      }
      const gone = removed();
      return {
        entries,
        removedKeys: gone.map(keyOf),
        held() {
          written.forEach((d) => kept.set(d.id, d));
          gone.forEach((id) => kept.delete(id));
        },
      };
    },

    loaded(documents: T[]): void {
      documents.forEach((d) => kept.set(d.id, d));
    },

    /** Another tab wrote or removed one. One that is changed here as well is merged when it is written. */
    takeIn(key: string, raw: string | null): void {
      const id = key.slice(prefix.length);
      if (kept.get(id) !== here()[id]) return;
      if (raw === null) {
        kept.delete(id);
        left(id);
        return;
      }
      const theirs = read(JSON.parse(raw));
      kept.set(id, theirs);
      arrived(theirs);
    },
  };
}
