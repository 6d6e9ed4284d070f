import { readPainting, readStudio, type Studio } from '@/core/formats';
import { mergePaintings, type Painting } from '@/core/painting';
import {
  CABINET_KEY,
  isDocumentKey,
  PAINTING_PREFIX,
  paintingKey,
  readDocuments,
  STUDIO_KEY,
} from './documents';
import { cabinetKeeping } from './keep-cabinet';
import { paintingArrived, paintingLeft, paintingsLoaded } from './paintings';
import { loaded, loadFailed, writeBegan, writeFailed, writeHeld } from './saving';
import type { Store } from './store';
import { studioArrived } from './studio';

/** The part of AsyncStorage that is used. `setMany` is one transaction: all of it or nothing. */
export interface Storage {
  getItem(key: string): Promise<string | null>;
  getAllKeys(): Promise<string[]>;
  getMany(keys: string[]): Promise<Record<string, string | null>>;
  setMany(entries: Record<string, string>): Promise<void>;
  removeMany(keys: string[]): Promise<void>;
}

/** What the keeper needs of its surroundings, so that tests run it without a browser. */
export interface Surroundings {
  storage: Storage;
  /** Tell other tabs which documents changed. */
  announce(keys: string[]): void;
  /** Run alone among all tabs. */
  alone<T>(task: () => Promise<T>): Promise<T>;
  /** Run later; used to try a failed write again. */
  later(task: () => void, ms: number): void;
}

const RETRY_MS = [1000, 2000, 5000, 15_000, 30_000];

export interface Keeper {
  /** Read everything, then keep every change. Called again after a failure, it tries again. */
  start(): Promise<void>;
  /** Write what is not written yet; resolves when the attempt is over. */
  flush(): Promise<void>;
  /** Another tab announced a change. */
  arrived(keys: string[]): Promise<void>;
}

/**
 * Keeps the store in storage: one document per painting, one for the studio and one for the cabinet, each with its version.
 * A write that fails stays in memory, is shown, and is tried again. Two tabs that wrote one painting
 * are merged against the version both began from.
 */
export function createKeeper(store: Store, around: Surroundings): Keeper {
  /** What storage holds as far as this tab knows; by reference, so a look tells what is not written. */
  const kept = new Map<string, Painting>();
  let keptStudio: Studio | null = null;
  const cabinet = cabinetKeeping(store, around);
  let started = false;
  let failures = 0;
  let retryPending = false;
  let queue: Promise<void> = Promise.resolve();

  const paintings = (): Painting[] => Object.values(store.getState().paintings.entities);
  const studio = (): Studio => store.getState().studio;
  const changedPaintings = () => paintings().filter((p) => kept.get(p.id) !== p);
  const removedIds = () =>
    [...kept.keys()].filter((id) => !store.getState().paintings.entities[id]);
  const dirty = () =>
    changedPaintings().length > 0 ||
    removedIds().length > 0 ||
    keptStudio !== studio() ||
    cabinet.dirty();

  /**
   * The newest of a painting: merged with what another tab has written since. Reads the store only after
   * the wait for storage, so that a change made meanwhile is not lost. Null when it is gone.
   */
  async function reconcile(id: string): Promise<Painting | null> {
    const raw = await around.storage.getItem(paintingKey(id));
    const mine = store.getState().paintings.entities[id];
    const base = kept.get(id);
    if (!mine || raw === null || !base) return mine ?? null;
    const theirs = readPainting(JSON.parse(raw));
    if (theirs.revision === base.revision) return mine;
    const merged = mergePaintings(base, mine, theirs);
    store.dispatch(paintingArrived(merged));
    return merged;
  }

  async function write(): Promise<void> {
    const entries: Record<string, string> = {};
    const written: Painting[] = [];
    for (const { id } of changedPaintings()) {
      const merged = await reconcile(id);
      if (!merged) continue;
      entries[paintingKey(merged.id)] = JSON.stringify(merged);
      written.push(merged);
    }
    const studioNow = studio();
    if (keptStudio !== studioNow) entries[STUDIO_KEY] = JSON.stringify(studioNow);
    const cabinetNow = await cabinet.toWrite();
    Object.assign(entries, cabinetNow?.entries);
    const removed = removedIds();
    if (Object.keys(entries).length > 0) await around.storage.setMany(entries);
    if (removed.length > 0) await around.storage.removeMany(removed.map(paintingKey));
    written.forEach((p) => kept.set(p.id, p));
    removed.forEach((id) => kept.delete(id));
    keptStudio = studioNow;
    if (cabinetNow) cabinet.written(cabinetNow.cabinet);
    around.announce([...Object.keys(entries), ...removed.map(paintingKey)]);
  }

  function failed(error: unknown): void {
    store.dispatch(writeFailed(error instanceof Error ? error.message : String(error)));
    const wait = RETRY_MS[Math.min(failures, RETRY_MS.length - 1)]!;
    failures += 1;
    if (retryPending) return;
    retryPending = true;
    around.later(() => {
      retryPending = false;
      void flush();
    }, wait);
  }

  async function attempt(): Promise<void> {
    if (!started || !dirty()) return;
    store.dispatch(writeBegan());
    try {
      await around.alone(write);
      failures = 0;
      store.dispatch(writeHeld());
    } catch (error) {
      failed(error);
      return;
    }
    if (dirty()) await attempt();
  }

  function flush(): Promise<void> {
    queue = queue.then(attempt);
    return queue;
  }

  async function load(): Promise<void> {
    const keys = (await around.storage.getAllKeys()).filter(isDocumentKey);
    const found = readDocuments(await around.storage.getMany(keys));
    found.paintings.forEach((p) => kept.set(p.id, p));
    if (found.studio) store.dispatch(studioArrived(found.studio));
    keptStudio = studio();
    cabinet.loaded(found.cabinet);
    store.dispatch(paintingsLoaded(found.paintings));
    store.dispatch(loaded(found.unreadable));
  }

  async function arrived(keys: string[]): Promise<void> {
    try {
      for (const key of keys) {
        const raw = await around.storage.getItem(key);
        if (key === STUDIO_KEY) takeInStudio(raw);
        else if (key === CABINET_KEY) cabinet.arrived(raw);
        else if (key.startsWith(PAINTING_PREFIX)) takeIn(key.slice(PAINTING_PREFIX.length), raw);
      }
    } catch (error) {
      // A tab of a later edition may write what this one cannot read: said, and left alone.
      store.dispatch(writeFailed(error instanceof Error ? error.message : String(error)));
    }
  }

  function takeInStudio(raw: string | null): void {
    // Settings that were changed here as well are kept: they are written next.
    if (raw === null || keptStudio !== studio()) return;
    keptStudio = readStudio(JSON.parse(raw));
    store.dispatch(studioArrived(keptStudio));
  }

  function takeIn(id: string, raw: string | null): void {
    const mine = store.getState().paintings.entities[id];
    const untouched = kept.get(id) === mine;
    if (raw === null) {
      if (!untouched) return;
      kept.delete(id);
      store.dispatch(paintingLeft(id));
      return;
    }
    // A painting that is changed here as well is merged when it is written.
    if (!untouched) return;
    const theirs = readPainting(JSON.parse(raw));
    kept.set(id, theirs);
    store.dispatch(paintingArrived(theirs));
  }

  /** Only a change of what is kept begins a write: the notes about writing must not, or a failure would feed itself. */
  function watchChanges(): void {
    let seen = store.getState();
    store.subscribe(() => {
      const now = store.getState();
      const changed =
        now.paintings.entities !== seen.paintings.entities ||
        now.studio !== seen.studio ||
        now.cabinet !== seen.cabinet;
      seen = now;
      if (changed && dirty()) void flush();
    });
  }

  return {
    async start() {
      if (started) return flush();
      try {
        await load();
      } catch (error) {
        store.dispatch(loadFailed(error instanceof Error ? error.message : String(error)));
        return;
      }
      started = true;
      watchChanges();
    },
    flush,
    arrived,
  };
}
