import { CoreError } from '@/core/errors';
import { draftsLoaded } from '../drafts';
import {
  asideGone,
  laterEditionSeen,
  loaded,
  writeBegan,
  writeFailed,
  writeHeld,
  type Refused,
} from '../saving';
import type { Storage } from '../storage';
import type { Store } from '../store';
import { collectionsOf } from './collections';
import { kindOf, PREFIX, type DocumentKind, type Kinds } from './documents';
import { whyNotStored, type Room } from './failure';
import { keepDrafts } from './keep-drafts';
import { openDocuments, setAside, type Found } from './open-documents';
import type { Reader } from './reader';
import { isSetAside } from './set-aside';

/** What the keeper needs of its surroundings, so that tests run it without a browser. */
export interface Surroundings {
  storage: Storage;
  /** The schemas, which come when they are first needed. */
  reader(): Promise<Reader>;
  /** Tell other tabs which documents changed. */
  announce(keys: string[]): void;
  /** Run alone among all tabs. */
  alone<T>(task: () => Promise<T>): Promise<T>;
  /** Run later; used to try a failed write again. */
  later(task: () => void, ms: number): void;
  /** How much room there is; null where nobody knows. */
  room(): Promise<Room | null>;
}

const RETRY_MS = [1000, 2000, 5000, 15_000, 30_000];

export interface Keeper {
  /** Read everything, then keep every change. */
  start(): Promise<void>;
  /** After a failure: open the store anew, write what is here and is not there, and take in what only it has. */
  again(): Promise<void>;
  /** Write what is not written yet; resolves when the attempt is over. */
  flush(): Promise<void>;
  /** Another tab announced a change. */
  arrived(keys: string[]): Promise<void>;
  /** Throw away what was set aside since nobody could read it. */
  discard(aside: string): Promise<void>;
}

/**
 * Keeps the store in storage, each document under its own key. Every document is accepted by the schemas that will
 * read it before it is written; one that is not, and one that cannot be read, stops no other. A write that fails stays
 * in memory, is shown, and is tried again. Two tabs that wrote one document are merged against the version both began
 * from.
 */
export function createKeeper(store: Store, around: Surroundings): Keeper {
  const { storage } = around;
  const byKind = collectionsOf(store, storage);
  const collections = Object.values(byKind);
  let started = false;
  let failures = 0;
  let retryPending = false;
  let wantedBytes = 0;
  let queue: Promise<void> = Promise.resolve();

  const dirty = () => collections.some((c) => c.dirty());

  async function write(): Promise<Refused[]> {
    const reader = await around.reader();
    const entries: Record<string, string> = {};
    const removed: string[] = [];
    const writes = [];
    for (const keeping of collections) {
      if (!keeping.dirty()) continue;
      const part = await keeping.toWrite(reader);
      Object.assign(entries, part.entries);
      removed.push(...part.removedKeys);
      writes.push(part);
    }
    wantedBytes = Object.values(entries).reduce((s, text) => s + text.length, 0);
    if (Object.keys(entries).length > 0) await storage.setMany(entries);
    if (removed.length > 0) await storage.removeMany(removed);
    writes.forEach((part) => part.held());
    around.announce([...Object.keys(entries).filter((key) => !isSetAside(key)), ...removed]);
    const now = writes.flatMap((part) => part.refused);
    const still = new Set(collections.flatMap((c) => c.refusals()));
    const before = store
      .getState()
      .saving.refused.filter((r) => still.has(r.key) && !now.some((n) => n.key === r.key));
    return [...before, ...now];
  }

  async function failed(error: unknown): Promise<void> {
    const message = error instanceof Error ? error.message : String(error);
    const room = await around.room().catch(() => null);
    store.dispatch(writeFailed(whyNotStored(message, wantedBytes, room)));
    const wait = RETRY_MS[Math.min(failures, RETRY_MS.length - 1)]!;
    failures += 1;
    if (retryPending) return;
    retryPending = true;
    around.later(() => {
      retryPending = false;
      void again();
    }, wait);
  }

  async function attempt(): Promise<void> {
    if (!started || !dirty()) return;
    store.dispatch(writeBegan());
    try {
      const refused = await around.alone(write);
      failures = 0;
      store.dispatch(writeHeld(refused));
    } catch (error) {
      await failed(error);
      return;
    }
    if (dirty()) await attempt();
  }

  const queued = (task: () => Promise<void>): Promise<void> => (queue = queue.then(task));
  const flush = () => queued(attempt);

  async function load(): Promise<void> {
    const keys = (await storage.getAllKeys()).filter((key) => kindOf(key) || isSetAside(key));
    const stored = await storage.getMany(keys);
    const { found, unreadable, back } = await openDocuments(stored, around.reader);
    await setAside(storage, unreadable, stored).catch(() => undefined);
    for (const kind of Object.keys(byKind) as DocumentKind[]) takeLoaded(kind, found, keys);
    if (!started) store.dispatch(draftsLoaded(found.draft));
    store.dispatch(loaded(unreadable));
    if (back.length > 0) await storage.removeMany(back).catch(() => undefined);
  }

  function takeLoaded<K extends DocumentKind>(kind: K, found: Found, keys: string[]): void {
    const ids = keys
      .filter((key) => kindOf(key) === kind)
      .map((key) => (key === PREFIX[kind] ? kind : key.slice(PREFIX[kind].length)));
    const keeping = byKind[kind] as unknown as {
      loaded(documents: Kinds[K][], present: ReadonlySet<string>): void;
    };
    keeping.loaded(found[kind], new Set(ids));
  }

  async function begin(): Promise<void> {
    try {
      // A connection that the browser has closed stays closed; one that answers, though it be full, is kept.
      await storage.getAllKeys().catch(() => storage.reopen());
      await load();
    } catch (error) {
      await failed(error);
      return;
    }
    if (!started) {
      started = true;
      watchChanges();
      keepDrafts(store, storage);
    }
    // What failed has come right when nothing is left to write, and not before.
    if (dirty()) await attempt();
    else store.dispatch(writeHeld(store.getState().saving.refused));
  }

  const again = () => queued(begin);

  async function arrived(keys: string[]): Promise<void> {
    for (const key of keys) {
      const kind = kindOf(key);
      if (!kind || kind === 'draft') continue;
      try {
        const raw = await storage.getItem(key);
        const id = key === PREFIX[kind] ? kind : key.slice(PREFIX[kind].length);
        byKind[kind].takeIn(id, raw, await around.reader());
      } catch (error) {
        // What a tab of a later edition wrote is left alone. What is torn is set aside when it is next written here.
        if (error instanceof CoreError && error.code === 'document-too-new')
          store.dispatch(laterEditionSeen());
      }
    }
  }

  /** Only a change of what is kept begins a write: the notes about writing must not, or a failure would feed itself. */
  function watchChanges(): void {
    store.listen({
      predicate: (_action, now, before) =>
        now.paintings.entities !== before.paintings.entities ||
        now.sessions.entities !== before.sessions.entities ||
        now.climate !== before.climate ||
        now.plan !== before.plan ||
        now.studio !== before.studio ||
        now.cabinet !== before.cabinet,
      effect: () => {
        if (dirty()) void flush();
      },
    });
  }

  return {
    start: () => queued(begin),
    again,
    flush,
    arrived,
    async discard(aside) {
      await storage.removeMany([aside]);
      store.dispatch(asideGone(aside));
    },
  };
}
