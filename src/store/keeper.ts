import { mergeMonths } from '@/core/climate/readings';
import {
  readClimateMonth,
  readPainting,
  readPlanRecord,
  readSession,
  readStudio,
  type Studio,
} from '@/core/formats';
import { mergePaintings } from '@/core/painting';
import { mergeRecords } from '@/core/plan-record/record';
import { mergeSessions } from '@/core/session/merge';
import { monthLeft, monthsChanged, monthsLoaded } from './climate';
import { collectionKeeping } from './collection';
import {
  CABINET_KEY,
  CLIMATE_PREFIX,
  isDocumentKey,
  PAINTING_PREFIX,
  PLAN_PREFIX,
  readDocuments,
  SESSION_PREFIX,
  STUDIO_KEY,
} from './documents';
import { draftsLoaded } from './drafts';
import { DRAFT_PREFIX, keepDrafts, readDrafts } from './effects/keep-drafts';
import { cabinetKeeping } from './keep-cabinet';
import { paintingArrived, paintingLeft, paintingsLoaded } from './paintings';
import { planLeft, planNoted } from './plan';
import { loaded, loadFailed, writeBegan, writeFailed, writeHeld } from './saving';
import type { Storage } from './storage';
import type { Store } from './store';
import { sessionArrived, sessionLeft, sessionsLoaded } from './sessions';
import { studioArrived } from './studio';

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

/** What is kept one document each: paintings, sessions, months of readings. */
function collectionsOf(store: Store, around: Pick<Surroundings, 'storage'>) {
  const state = () => store.getState();
  const paintings = collectionKeeping(
    {
      prefix: PAINTING_PREFIX,
      here: () => state().paintings.entities,
      read: readPainting,
      merge: (base, mine, theirs) => (base ? mergePaintings(base, mine, theirs) : mine),
      arrived: (p) => store.dispatch(paintingArrived(p)),
      left: (id) => store.dispatch(paintingLeft(id)),
    },
    around.storage,
  );
  const sessions = collectionKeeping(
    {
      prefix: SESSION_PREFIX,
      here: () => state().sessions.entities,
      read: readSession,
      merge: (base, mine, theirs) => (base ? mergeSessions(base, mine, theirs) : mine),
      arrived: (s) => store.dispatch(sessionArrived(s)),
      left: (id) => store.dispatch(sessionLeft(id)),
    },
    around.storage,
  );
  const months = collectionKeeping(
    {
      prefix: CLIMATE_PREFIX,
      here: () => state().climate,
      read: readClimateMonth,
      merge: (_base, mine, theirs) => mergeMonths(mine, theirs),
      arrived: (m) => store.dispatch(monthsChanged([m])),
      left: (id) => store.dispatch(monthLeft(id)),
    },
    around.storage,
  );
  const plans = collectionKeeping(
    {
      prefix: PLAN_PREFIX,
      here: () => state().plan,
      read: readPlanRecord,
      merge: mergeRecords,
      arrived: (p) => store.dispatch(planNoted(p)),
      left: () => store.dispatch(planLeft()),
    },
    around.storage,
  );
  return { paintings, sessions, months, plans };
}

/**
 * Keeps the store in storage: one document per painting, one for the studio and one for the cabinet, each with its version.
 * A write that fails stays in memory, is shown, and is tried again. Two tabs that wrote one painting
 * are merged against the version both began from.
 */
export function createKeeper(store: Store, around: Surroundings): Keeper {
  const state = () => store.getState();
  const { paintings, sessions, months, plans } = collectionsOf(store, around);
  const collections = [
    { prefix: PAINTING_PREFIX, keeping: paintings },
    { prefix: SESSION_PREFIX, keeping: sessions },
    { prefix: CLIMATE_PREFIX, keeping: months },
    { prefix: PLAN_PREFIX, keeping: plans },
  ];
  let keptStudio: Studio | null = null;
  const cabinet = cabinetKeeping(store, around);
  let started = false;
  let failures = 0;
  let retryPending = false;
  let queue: Promise<void> = Promise.resolve();

  const studio = (): Studio => state().studio;
  const dirty = () =>
    collections.some(({ keeping }) => keeping.dirty()) ||
    keptStudio !== studio() ||
    cabinet.dirty();

  async function write(): Promise<void> {
    const entries: Record<string, string> = {};
    const removed: string[] = [];
    const writes = [];
    for (const { keeping } of collections) {
      if (!keeping.dirty()) continue;
      const part = await keeping.toWrite();
      Object.assign(entries, part.entries);
      removed.push(...part.removedKeys);
      writes.push(part);
    }
    const studioNow = studio();
    if (keptStudio !== studioNow) entries[STUDIO_KEY] = JSON.stringify(studioNow);
    const cabinetNow = await cabinet.toWrite();
    Object.assign(entries, cabinetNow?.entries);
    if (Object.keys(entries).length > 0) await around.storage.setMany(entries);
    if (removed.length > 0) await around.storage.removeMany(removed);
    writes.forEach((part) => part.held());
    keptStudio = studioNow;
    if (cabinetNow) cabinet.written(cabinetNow.cabinet);
    around.announce([...Object.keys(entries), ...removed]);
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
    const keys = await around.storage.getAllKeys();
    const found = readDocuments(await around.storage.getMany(keys.filter(isDocumentKey)));
    const drafts = keys.filter((key) => key.startsWith(DRAFT_PREFIX));
    store.dispatch(draftsLoaded(readDrafts(await around.storage.getMany(drafts))));
    paintings.loaded(found.paintings);
    sessions.loaded(found.sessions);
    months.loaded(found.months);
    plans.loaded(found.plans);
    if (found.studio) store.dispatch(studioArrived(found.studio));
    keptStudio = studio();
    cabinet.loaded(found.cabinet);
    store.dispatch(paintingsLoaded(found.paintings));
    store.dispatch(sessionsLoaded(found.sessions));
    store.dispatch(monthsLoaded(found.months));
    found.plans.forEach((p) => store.dispatch(planNoted(p)));
    store.dispatch(loaded(found.unreadable));
  }

  async function arrived(keys: string[]): Promise<void> {
    try {
      for (const key of keys) {
        const raw = await around.storage.getItem(key);
        if (key === STUDIO_KEY) takeInStudio(raw);
        else if (key === CABINET_KEY) cabinet.arrived(raw);
        else collections.find((c) => key.startsWith(c.prefix))?.keeping.takeIn(key, raw);
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
      keepDrafts(store, around.storage);
    },
    flush,
    arrived,
  };
}
