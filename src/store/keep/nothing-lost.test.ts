import fc from 'fast-check';
import { putMedium, putPaint } from '@/core/cabinet';
import { hoursOf } from '@/core/climate';
import type { Painting } from '@/core/painting';
import { changedRecord } from '@/core/plan-record/record';
import { beginSession, editSession } from '@/core/session';
import {
  aCabinetMedium,
  aCabinetPaint,
  aMoment,
  anException,
  aPaintingLike,
  someWorkingHours,
} from '@/core/tests/arbitraries';
import { making, newPainting, NOW_MS } from '@/core/tests/paintings';
import {
  addPainting,
  addSession,
  changeCabinet,
  changePainting,
  changePlan,
  changeSession,
  removePainting,
  takeInHours,
} from '../actions';
import { changeDeclined } from '../saving';
import type { Storage } from '../storage';
import { createStore, type Store } from '../store';
import { settingsChanged } from '../studio';
import { memoryStorage } from '../tests/memory-storage';
import { whyNotStored } from './failure';
import { createKeeper, type Keeper } from './keeper';
import { loadReader } from './reader';

interface Tab {
  store: Store;
  keeper: Keeper;
}

/** The lock among tabs. */
let last: Promise<unknown> = Promise.resolve();
function alone<T>(task: () => Promise<T>): Promise<T> {
  const run = last.then(task, task);
  last = run.catch(() => undefined);
  return run;
}

async function opened(storage: Storage): Promise<Tab> {
  const store = createStore();
  const keeper = createKeeper(store, {
    storage,
    reader: loadReader,
    announce: () => undefined,
    alone,
    later: () => undefined,
    room: () => Promise.resolve(null),
  });
  await keeper.start();
  return { store, keeper };
}

/** All that is of the record, as it can be compared. */
function recordOf({ store }: Tab) {
  const { paintings, sessions, climate, plan, studio, cabinet } = store.getState();
  return JSON.parse(
    JSON.stringify({
      paintings: paintings.entities,
      sessions: sessions.entities,
      climate,
      plan,
      studio,
      cabinet,
    }),
  ) as unknown;
}

beforeAll(() => loadReader());

type Action = Parameters<Store['dispatch']>[0];
const PAINTING = newPainting();

/** What a painter does, with anything that the forms accept. */
const anAction: fc.Arbitrary<Action> = fc.oneof(
  aPaintingLike(PAINTING).map(
    (p) => changePainting(PAINTING.id, 'Changed', () => p) as unknown as Action,
  ),
  // Anything typed that no form has looked at: it is declined or it can be read again.
  fc.string({ maxLength: 400 }).map(
    (title) =>
      changePainting(PAINTING.id, 'Renamed', (p: Painting) => ({
        ...p,
        title,
        revision: p.revision + 1,
      })) as unknown as Action,
  ),
  fc.string({ maxLength: 100 }).map(
    (name) =>
      changePainting(PAINTING.id, 'A passage', (p: Painting) => ({
        ...p,
        passages: p.passages.map((x, i) => (i === 0 ? { ...x, name } : x)),
        revision: p.revision + 1,
      })) as unknown as Action,
  ),
  aCabinetPaint.map((p) => changeCabinet('A paint', (c) => putPaint(c, p)) as unknown as Action),
  aCabinetMedium.map((m) => changeCabinet('A medium', (c) => putMedium(c, m)) as unknown as Action),
  someWorkingHours.map(
    (hours) => changePlan('Hours', (r) => changedRecord(r, { hours })) as unknown as Action,
  ),
  fc
    .array(anException, { maxLength: 3 })
    .map(
      (exceptions) =>
        changePlan('Away', (r) => changedRecord(r, { exceptions })) as unknown as Action,
    ),
  fc.double().map((latitudeDeg) => settingsChanged({ latitudeDeg }) as unknown as Action),
  fc
    .string({ maxLength: 5000 })
    .map(
      (note) => changeSession('s', 'A note', (s) => editSession(s, { note })) as unknown as Action,
    ),
  fc
    .record({ at: aMoment, t: fc.double({ min: -30, max: 60, noNaN: true }) })
    .map(
      ({ at, t }) =>
        takeInHours(
          hoursOf([{ atMs: Date.parse(at), temperatureC: t, relativeHumidityPct: 40 }]),
        ) as unknown as Action,
    ),
);

test('whatever is accepted can be read again; what is not changes nothing and is said', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(anAction, { minLength: 1, maxLength: 8 }), async (actions) => {
      const { storage } = memoryStorage();
      const tab = await opened(storage);
      tab.store.dispatch(addPainting(PAINTING));
      tab.store.dispatch(
        addSession({ ...beginSession({ works: [], boxMinutes: 60, goal: '' }, making()), id: 's' }),
      );
      for (const action of actions) {
        tab.store.dispatch(changeDeclined(null));
        const before = recordOf(tab);
        try {
          tab.store.dispatch(action);
        } catch {
          expect(recordOf(tab)).toEqual(before);
          expect(tab.store.getState().saving.declined).toEqual(expect.any(String));
        }
      }
      await tab.keeper.flush();
      expect(tab.store.getState().saving).toMatchObject({ phase: 'saved', refused: [] });
      const again = await opened(storage);
      expect(again.store.getState().saving.unreadable).toEqual([]);
      expect(recordOf(again)).toEqual(recordOf(tab));
    }),
    { numRuns: 60 },
  );
});

/** One document of each kind, stored. */
async function fullStudio() {
  const memory = memoryStorage();
  const tab = await opened(memory.storage);
  tab.store.dispatch(addPainting(PAINTING));
  tab.store.dispatch(addPainting({ ...newPainting({ title: 'Second' }), id: 'second' }));
  tab.store.dispatch(
    addSession({ ...beginSession({ works: [], boxMinutes: 60, goal: 'g' }, making()), id: 's' }),
  );
  tab.store.dispatch(
    takeInHours(hoursOf([{ atMs: NOW_MS, temperatureC: 20, relativeHumidityPct: 50 }])),
  );
  tab.store.dispatch(changePlan('Alarm', (r) => changedRecord(r, { alarmMinutes: 10 })));
  tab.store.dispatch(settingsChanged({ units: 'inch' }));
  tab.store.dispatch(changeCabinet('Less', (c) => putPaint(c, { ...c.paints[0]!, left: 0.5 })));
  await tab.keeper.flush();
  return { ...memory, tab };
}

const KEYS = ['painting:second', 'session:s', 'climate:2026-02', 'plan:plan', 'studio', 'cabinet'];

test.each(KEYS)('%s torn, emptied or of another shape stops nothing else', async (key) => {
  const { data } = await fullStudio();
  const texts = new Map(data);
  await fc.assert(
    fc.asyncProperty(
      fc.oneof(
        fc.nat(texts.get(key)!.length - 1).map((at) => texts.get(key)!.slice(0, at)),
        fc.constantFrom('', 'null', '[]', '{}', '7', '{"schemaVersion":0}', '{"__proto__":1}'),
        fc.string(),
      ),
      async (broken) => {
        const { data: now, storage } = memoryStorage();
        texts.forEach((text, k) => now.set(k, text));
        now.set(key, broken);
        const tab = await opened(storage);
        const { unreadable, phase } = tab.store.getState().saving;
        expect([phase, unreadable.map((u) => [u.key, u.raw])]).toEqual(['saved', [[key, broken]]]);
        // All else is there and goes on being kept, the same document too once it is there again.
        tab.store.dispatch(
          changePainting(PAINTING.id, 'Renamed', (p) => ({ ...p, title: 'Later' })),
        );
        tab.store.dispatch(addPainting({ ...newPainting({ title: 'Second' }), id: 'second' }));
        tab.store.dispatch(settingsChanged({ latitudeDeg: 12 }));
        tab.store.dispatch(
          changeCabinet('Less', (c) => putPaint(c, { ...c.paints[1]!, left: 0.1 })),
        );
        await tab.keeper.flush();
        expect(tab.store.getState().saving).toMatchObject({ phase: 'saved', refused: [] });
        expect([...now.values()]).toContain(broken);
        const again = await opened(storage);
        expect(recordOf(again)).toEqual(recordOf(tab));
      },
    ),
    { numRuns: 25 },
  );
});

test('settings of a later edition are left alone, and what is changed here is said to be unkept', async () => {
  const { data, storage } = memoryStorage();
  const later = '{"schemaVersion":99,"revision":4,"units":"furlong"}';
  data.set('studio', later);
  const tab = await opened(storage);
  tab.store.dispatch(settingsChanged({ units: 'inch' }));
  tab.store.dispatch(addPainting(PAINTING));
  await tab.keeper.flush();
  expect(data.get('studio')).toBe(later);
  expect(tab.store.getState().saving.refused.map((r) => r.key)).toEqual(['studio']);
  expect(data.has(`painting:${PAINTING.id}`)).toBe(true);
});

test('what an earlier edition had set aside comes back once it can be read', async () => {
  const { data, storage } = await fullStudio();
  const text = data.get('painting:second')!;
  data.delete('painting:second');
  data.set('set-aside:painting:second#00000000', text);
  const tab = await opened(storage);
  expect(tab.store.getState().paintings.ids).toContain('second');
  tab.store.dispatch(changePainting('second', 'Renamed', (p) => ({ ...p, title: 'Back' })));
  await tab.keeper.flush();
  expect(data.has('set-aside:painting:second#00000000')).toBe(false);
  expect((await opened(storage)).store.getState().paintings.entities.second!.title).toBe('Back');
});

describe('a store that fails', () => {
  test('at the start: work goes on in memory, and is written beside what is there when it comes back', async () => {
    const { storage, tab: earlier } = await fullStudio();
    let denied = true;
    const flaky: Storage = {
      ...storage,
      getAllKeys: () =>
        denied ? Promise.reject(new Error('Access denied.')) : storage.getAllKeys(),
    };
    const tab = await opened(flaky);
    expect(tab.store.getState().saving.reason).toMatch(/does not let this page store/);
    const made = { ...newPainting({ title: 'Meanwhile' }), id: 'meanwhile' };
    tab.store.dispatch(addPainting(made));
    tab.store.dispatch(settingsChanged({ latitudeDeg: 60 }));
    denied = false;
    await tab.keeper.again();
    const state = tab.store.getState();
    expect(state.saving.phase).toBe('saved');
    expect([...state.paintings.ids].sort()).toEqual([PAINTING.id, 'meanwhile', 'second'].sort());
    expect([state.studio.latitudeDeg, state.studio.units]).toEqual([60, 'inch']);
    expect(state.cabinet).toEqual(earlier.store.getState().cabinet);
    expect(recordOf(await opened(storage))).toEqual(recordOf(tab));
  });

  test('cleared while open: all that is here is written again', async () => {
    const { data, storage, tab } = await fullStudio();
    data.clear();
    tab.store.dispatch(removePainting('second'));
    await tab.keeper.again();
    const again = await opened(storage);
    expect(recordOf(again)).toEqual(recordOf(tab));
    expect(again.store.getState().paintings.ids).toEqual([PAINTING.id]);
  });

  test('full: how much is missing is said, and a removal made meanwhile is not undone', async () => {
    const { storage, fail, tab } = await fullStudio();
    fail('The quota has been exceeded.');
    tab.store.dispatch(removePainting('second'));
    tab.store.dispatch(settingsChanged({ latitudeDeg: 1 }));
    await tab.keeper.flush();
    expect(tab.store.getState().saving.reason).toMatch(/full: \d+ kB more is needed/);
    // Tried again in vain it stays in sight all the while, and the connection, which answers, is kept.
    const reopen = jest.spyOn(storage, 'reopen');
    const phases = new Set<string>();
    tab.store.subscribe(() => phases.add(tab.store.getState().saving.phase));
    await tab.keeper.again();
    expect([[...phases], reopen.mock.calls.length]).toEqual([['failed'], 0]);
    fail(null);
    await tab.keeper.again();
    const again = await opened(storage);
    expect(again.store.getState().paintings.ids).toEqual([PAINTING.id]);
    expect(again.store.getState().studio.latitudeDeg).toBe(1);
  });

  test('two tabs that change different settings keep both', async () => {
    const { storage } = memoryStorage();
    const [one, two] = [await opened(storage), await opened(storage)];
    one.store.dispatch(settingsChanged({ units: 'inch' }));
    const { climate } = two.store.getState().studio;
    two.store.dispatch(settingsChanged({ climate: { ...climate, temperatureC: 15 } }));
    await one.keeper.flush();
    await two.keeper.flush();
    await one.keeper.arrived(['studio']);
    for (const { store } of [one, two, await opened(storage)])
      expect([store.getState().studio.units, store.getState().studio.climate.temperatureC]).toEqual(
        ['inch', 15],
      );
  });
});

test.each([
  ['QuotaExceededError: The quota has been exceeded.', 5_000_000, 'full: 4.0 MB more is needed'],
  ['The quota has been exceeded.', 10, 'this device itself may be full'],
  ['The database connection is closing.', 10, 'has closed its store'],
  ['Access to the storage is denied in this context.', 10, 'does not let this page store'],
  ['Loading module http://127.0.0.1/read-documents.js failed.', 10, 'could not be loaded'],
  ['Something odd.', 10, 'does not answer (Something odd)'],
])('of "%s" a painter is told why', (message, bytes, told) => {
  expect(whyNotStored(message, bytes, { usedBytes: 9e6, allowedBytes: 10e6 })).toContain(told);
});
