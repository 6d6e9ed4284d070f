import { CoreError } from '@/core/errors';
import { seal, unseal } from '@/core/formats/seal';
import type { Storage } from '../storage';
import { keyOf, type DocumentKind, type Kinds } from './documents';
import type { Reader } from './reader';
import { asideKey } from './set-aside';

interface Revised {
  revision: number;
}

/** A kind of document and where the store holds it. */
export interface Collection<K extends DocumentKind, T extends Revised = Kinds[K]> {
  kind: K;
  /** What the store holds, by id. */
  here(): Record<string, T | undefined>;
  idOf(document: T): string;
  /** Two descendants of one document; `base` null where both tabs began one of the same name. */
  merge(base: T | null, mine: T, theirs: T): T;
  /** Into the store; `left` takes one out. */
  arrived(documents: T[]): void;
  left(id: string): void;
}

/** A document that is not kept, and why. */
export interface Refusal {
  key: string;
  message: string;
}

/** What is to be written of a collection, and what to do once it is. */
export interface CollectionWrite {
  entries: Record<string, string>;
  removedKeys: string[];
  refused: Refusal[];
  held(): void;
}

/** A collection's part in keeping: what storage holds of it, as far as this tab knows; by reference. */
export function collectionKeeping<K extends DocumentKind>(
  { kind, here, idOf, merge, arrived, left }: Collection<K>,
  storage: Pick<Storage, 'getItem'>,
) {
  type T = Kinds[K];
  const kept = new Map<string, T>();
  /** What the store began with by itself: in `kept`, and not in storage. */
  const begun = new Set<string>();
  /** What cannot be kept as it is; asked again when it has changed. */
  const refused = new Map<string, T>();
  const changed = (): string[] =>
    Object.entries(here()).flatMap(([id, d]) =>
      d !== undefined && kept.get(id) !== d && refused.get(id) !== d ? [id] : [],
    );
  const removed = (): string[] => [...kept.keys()].filter((id) => !here()[id]);

  /** A stored text as a document: by its seal, or by the schemas. */
  const open = (raw: string, reader: Reader): T =>
    (unseal(raw) as T | null) ?? reader.read(kind, JSON.parse(raw));

  /**
   * The newest of a document: merged with what another tab has written since. Reads the store only after the wait
   * for storage, so that a change made meanwhile is not lost.
   * @returns null when it is gone; `aside`: what storage held and nobody can read
   */
  async function reconcile(
    id: string,
    reader: Reader,
  ): Promise<{ newest: T; aside: string | null } | null> {
    const raw = await storage.getItem(keyOf(kind, id));
    const mine = here()[id];
    if (!mine) return null;
    if (raw === null) return { newest: mine, aside: null };
    let theirs: T;
    try {
      theirs = open(raw, reader);
    } catch (error) {
      if (error instanceof CoreError && error.code === 'document-too-new') throw error;
      return { newest: mine, aside: raw };
    }
    const base = kept.get(id) ?? null;
    if (base && theirs.revision === base.revision) return { newest: mine, aside: null };
    const merged = merge(base, mine, theirs);
    arrived([merged]);
    return { newest: merged, aside: null };
  }

  return {
    kind,
    dirty: (): boolean => changed().length > 0 || removed().length > 0,

    /** What has changed, accepted by the schemas and sealed. One that they refuse does not stop the others. */
    async toWrite(reader: Reader): Promise<CollectionWrite> {
      const out: CollectionWrite = { entries: {}, removedKeys: [], refused: [], held: () => {} };
      const written: [string, T][] = [];
      for (const id of changed()) {
        const key = keyOf(kind, id);
        try {
          const found = await reconcile(id, reader);
          if (!found) continue;
          const why = reader.whyNotKept(kind, found.newest);
          if (why) throw new CoreError('not-keepable', key, why);
          out.entries[key] = seal(found.newest);
          if (found.aside !== null) out.entries[asideKey(key, found.aside)] = found.aside;
          written.push([id, found.newest]);
        } catch (error) {
          if (!(error instanceof CoreError)) throw error;
          refused.set(id, here()[id]!);
          out.refused.push({ key, message: error.message });
        }
      }
      const gone = removed();
      out.removedKeys = gone.map((id) => keyOf(kind, id));
      out.held = () => {
        written.forEach(([id, d]) => {
          kept.set(id, d);
          begun.delete(id);
        });
        gone.forEach((id) => kept.delete(id));
      };
      return out;
    },

    /** What the store holds and storage cannot take: told until it has changed. */
    refusals: (): string[] =>
      [...refused].filter(([id, d]) => here()[id] === d).map(([id]) => keyOf(kind, id)),

    /**
     * Read from storage, at the start or when it has come back after a failure. What is here already stays, merged;
     * what this tab has taken out stays out. `present` names every id that storage has: what it has lost is written again.
     */
    loaded(documents: T[], present: ReadonlySet<string>): void {
      for (const id of [...kept.keys()]) if (!present.has(id) && !begun.has(id)) kept.delete(id);
      const into: T[] = [];
      for (const theirs of documents) {
        const id = idOf(theirs);
        const mine = here()[id];
        const base = kept.get(id);
        if (base && !begun.has(id) && (!mine || base.revision === theirs.revision)) continue;
        into.push(mine && mine !== base ? merge(base ?? null, mine, theirs) : theirs);
        begun.delete(id);
        kept.set(id, theirs);
      }
      if (into.length > 0) arrived(into);
    },

    /** The store begins with this without having been told: it is only kept once it is changed. */
    begins(id: string, document: T): void {
      kept.set(id, document);
      begun.add(id);
    },

    /** Another tab wrote or removed one. One that is changed here as well is merged when it is written. */
    takeIn(id: string, raw: string | null, reader: Reader): void {
      if (kept.get(id) !== here()[id]) return;
      if (raw === null) {
        kept.delete(id);
        left(id);
        return;
      }
      const theirs = open(raw, reader);
      kept.set(id, theirs);
      arrived([theirs]);
    },
  };
}
