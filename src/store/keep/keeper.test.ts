import { unseal } from '@/core/formats/seal';
import { layCoat } from '@/core/painting/events';
import { type Painting } from '@/core/painting';
import { making, newPainting, NOW } from '@/core/tests/paintings';
import { loadReader } from './reader';
import { createKeeper, type Surroundings } from './keeper';
import type { Storage } from '../storage';
import { memoryStorage } from '../tests/memory-storage';
import { putPaint } from '@/core/cabinet';
import { hoursOf } from '@/core/climate';
import { beginSession, editSession, putOut, type Session } from '@/core/session';
import {
  addSession,
  changeCabinet,
  changePlan,
  removeSession,
  takeInHours,
  undone,
} from '../actions';
import { planRecordOf } from '../plan';
import { pinWorks } from '@/core/plan-record/record-edit';
import { painterChanged } from '../paintings';
import { sessionChanged } from '../sessions';
import { createStore, type Store } from '../store';
import { settingsChanged } from '../studio';

/** The lock among tabs. */
function mutex(): Surroundings['alone'] {
  let last: Promise<unknown> = Promise.resolve();
  return (task) => {
    const run = last.then(task, task);
    last = run.catch(() => undefined);
    return run;
  };
}

function tab(
  storage: Storage,
  announce: (keys: string[]) => void = () => {},
  alone: Surroundings['alone'] = (task) => task(),
) {
  const store = createStore();
  const retries: (() => void)[] = [];
  const around: Surroundings = {
    storage,
    announce,
    alone,
    later: (task) => void retries.push(task),
    reader: loadReader,
    room: () => Promise.resolve({ usedBytes: 900, allowedBytes: 1000 }),
  };
  return { store, retries, keeper: createKeeper(store, around) };
}

const add = (store: Store, painting: Painting) =>
  store.dispatch(painterChanged({ what: 'Started', before: null, after: painting }));
const lay = (p: Painting) =>
  layCoat(
    p,
    {
      coatId: p.coats[0]!.id,
      passageIds: p.coats[0]!.passageIds,
      at: NOW,
      spot: null,
      intoWet: false,
    },
    making(),
  );
const change = (store: Store, id: string, f: (p: Painting) => Painting) => {
  const before = store.getState().paintings.entities[id]!;
  store.dispatch(painterChanged({ what: 'Changed', before, after: f(before) }));
};

test('what was done is there after a restart', async () => {
  const { storage } = memoryStorage();
  const first = tab(storage);
  await first.keeper.start();
  const painting = newPainting();
  add(first.store, painting);
  first.store.dispatch(settingsChanged({ units: 'inch' }));
  await first.keeper.flush();
  const second = tab(storage);
  await second.keeper.start();
  expect(second.store.getState().paintings.entities[painting.id]).toEqual(painting);
  expect(second.store.getState().studio.units).toBe('inch');
});

test('a write that fails is shown, kept in memory and tried again', async () => {
  const { storage, data, fail } = memoryStorage();
  const { store, keeper, retries } = tab(storage);
  await keeper.start();
  fail('The quota has been exceeded.');
  const painting = newPainting();
  add(store, painting);
  await keeper.flush();
  expect(store.getState().saving).toMatchObject({
    phase: 'failed',
    reason: expect.stringMatching(/store is full: [\d.]+ kB more is needed/) as string,
  });
  expect(store.getState().paintings.entities[painting.id]).toEqual(painting);
  expect(data.size).toBe(0);
  // One failure asks for one try again, not for a storm of them.
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(retries).toHaveLength(1);
  fail(null);
  retries[0]!();
  await keeper.flush();
  expect(store.getState().saving.phase).toBe('saved');
  expect(data.has(`painting:${painting.id}`)).toBe(true);
});

test('a document that cannot be read is named and set aside; one of a later edition is left alone', async () => {
  const { storage, data } = memoryStorage();
  data.set('painting:broken', '{"schemaVersion":1,"title":""}');
  data.set('painting:torn', '{"schemaVer');
  data.set('painting:newer', '{"schemaVersion":99}');
  const { store, keeper } = tab(storage);
  await keeper.start();
  const { unreadable } = store.getState().saving;
  expect(unreadable.map((u) => u.key).sort()).toEqual([
    'painting:broken',
    'painting:newer',
    'painting:torn',
  ]);
  expect(unreadable.find((u) => u.key === 'painting:newer')!.message).toMatch(/Update the program/);
  add(store, newPainting());
  await keeper.flush();
  expect(data.has('painting:torn')).toBe(false);
  const aside = unreadable.find((u) => u.key === 'painting:torn')!.aside;
  expect(data.get(aside)).toBe('{"schemaVer');
  expect(data.get('painting:newer')).toBe('{"schemaVersion":99}');
  // Named again at the next start, and gone when the painter says so.
  const next = tab(storage);
  await next.keeper.start();
  expect(next.store.getState().saving.unreadable).toHaveLength(3);
  await next.keeper.discard(aside);
  expect(next.store.getState().saving.unreadable).toHaveLength(2);
  expect(data.has(aside)).toBe(false);
});

test('a second tab sees a change, and its removal', async () => {
  const { storage } = memoryStorage();
  const announced: string[][] = [];
  const one = tab(storage, (keys) => announced.push(keys));
  const two = tab(storage);
  await one.keeper.start();
  await two.keeper.start();
  const painting = newPainting();
  add(one.store, painting);
  await one.keeper.flush();
  await two.keeper.arrived(announced.at(-1)!);
  expect(two.store.getState().paintings.entities[painting.id]).toEqual(painting);
  one.store.dispatch(undone());
  await one.keeper.flush();
  await two.keeper.arrived(announced.at(-1)!);
  expect(two.store.getState().paintings.entities[painting.id]).toBeUndefined();
});

test('what a tab of a later edition wrote is named, and not written over', async () => {
  const { storage, data } = memoryStorage();
  const { store, keeper } = tab(storage);
  await keeper.start();
  const painting = newPainting();
  add(store, painting);
  await keeper.flush();
  const later = JSON.stringify({ ...painting, schemaVersion: 9, revision: painting.revision + 1 });
  data.set(`painting:${painting.id}`, later);
  await keeper.arrived([`painting:${painting.id}`]);
  expect(store.getState().saving).toMatchObject({ phase: 'saved', later: true });
  change(store, painting.id, lay);
  const other = { ...newPainting(), id: 'other' };
  add(store, other);
  await keeper.flush();
  expect(store.getState().saving.refused).toEqual([
    {
      key: `painting:${painting.id}`,
      message: expect.stringMatching(/Update the program/) as string,
    },
  ]);
  expect(data.has('painting:other')).toBe(true);
  expect(data.get(`painting:${painting.id}`)).toBe(later);
  expect(store.getState().paintings.entities[painting.id]!.events).toHaveLength(1);
});

test('two tabs that write one painting at once lose nothing', async () => {
  const { storage } = memoryStorage();
  const alone = mutex();
  const one = tab(storage, undefined, alone);
  await one.keeper.start();
  const painting = newPainting();
  add(one.store, painting);
  await one.keeper.flush();
  const two = tab(storage, undefined, alone);
  await two.keeper.start();
  change(one.store, painting.id, lay);
  change(two.store, painting.id, (p) => ({ ...p, title: 'Renamed', revision: p.revision + 1 }));
  await one.keeper.flush();
  await two.keeper.flush();
  const merged = two.store.getState().paintings.entities[painting.id]!;
  expect(merged.title).toBe('Renamed');
  expect(merged.events).toHaveLength(1);
  const third = tab(storage);
  await third.keeper.start();
  expect(third.store.getState().paintings.entities[painting.id]).toEqual(merged);
});

test('undo takes back one change and keeps what came after it from elsewhere', () => {
  const { store } = tab(memoryStorage().storage);
  const painting = newPainting();
  add(store, painting);
  change(store, painting.id, lay);
  const laid = store.getState().paintings.entities[painting.id]!;
  store.dispatch({
    type: 'paintings/paintingArrived',
    payload: { ...laid, title: 'From the other tab', revision: laid.revision + 1 },
  });
  store.dispatch(undone());
  const after = store.getState().paintings.entities[painting.id]!;
  expect(after.events).toEqual([]);
  expect(after.title).toBe('From the other tab');
  expect(after.revision).toBeGreaterThan(laid.revision + 1);
  // To take back the beginning as well would take the other tab's title with it.
  store.dispatch(undone());
  expect(store.getState().paintings.entities[painting.id]!.title).toBe('From the other tab');
  expect(store.getState().saving.declined).toMatch(/^Not taken back/);
});

test('storage that cannot be opened is told, and nothing is written over it', async () => {
  const { storage, data } = memoryStorage();
  const { store, keeper } = tab({
    ...storage,
    getAllKeys: () => Promise.reject(new Error('denied')),
  });
  await keeper.start();
  add(store, newPainting());
  await keeper.flush();
  expect(store.getState().saving).toMatchObject({
    phase: 'failed',
    reason: expect.stringMatching(/does not let this page store/) as string,
  });
  expect(data.size).toBe(0);
});

describe('the cabinet', () => {
  const paint = (store: Store, i: number, left: number) =>
    store.dispatch(changeCabinet('Used some', (c) => putPaint(c, { ...c.paints[i]!, left })));

  test('what was changed is there after a restart; an untouched one is not written', async () => {
    const { storage, data } = memoryStorage();
    const first = tab(storage);
    await first.keeper.start();
    await first.keeper.flush();
    expect(data.has('cabinet')).toBe(false);
    paint(first.store, 0, 0.25);
    await first.keeper.flush();
    const second = tab(storage);
    await second.keeper.start();
    expect(second.store.getState().cabinet.paints[0]!.left).toBe(0.25);
  });

  test('two tabs that change it at once lose nothing, and undo takes back only its own', async () => {
    const { storage } = memoryStorage();
    const alone = mutex();
    const one = tab(storage, undefined, alone);
    const two = tab(storage, undefined, alone);
    await one.keeper.start();
    await two.keeper.start();
    paint(one.store, 0, 0.25);
    paint(two.store, 1, 0.75);
    await Promise.all([one.keeper.flush(), two.keeper.flush()]);
    const third = tab(storage);
    await third.keeper.start();
    expect(
      third.store
        .getState()
        .cabinet.paints.slice(0, 2)
        .map((p) => p.left),
    ).toEqual([0.25, 0.75]);
    await one.keeper.arrived(['cabinet']);
    one.store.dispatch(undone());
    expect(
      one.store
        .getState()
        .cabinet.paints.slice(0, 2)
        .map((p) => p.left),
    ).toEqual([1, 0.75]);
  });

  test('one that cannot be read is named, and the rest opens', async () => {
    const { storage, data } = memoryStorage();
    data.set('cabinet', '{"schemaVersion":1}');
    const { store, keeper } = tab(storage);
    await keeper.start();
    expect(store.getState().saving.unreadable.map((u) => u.key)).toEqual(['cabinet']);
    const { aside } = store.getState().saving.unreadable[0]!;
    paint(store, 0, 0.5);
    await keeper.flush();
    expect(store.getState().saving.phase).toBe('saved');
    expect(data.get(aside)).toBe('{"schemaVersion":1}');
    expect(unseal(data.get('cabinet')!)).toMatchObject({ revision: 1 });
  });
});

describe('sessions and readings', () => {
  const session = (store: Store, change: (s: Session) => Session) => {
    const before = Object.values(store.getState().sessions.entities)[0]!;
    store.dispatch(sessionChanged({ what: 'Changed', before, after: change(before) }));
  };
  const reading = (hour: number, temperatureC: number) =>
    hoursOf([{ atMs: Date.parse(NOW) + hour * 3_600_000, temperatureC, relativeHumidityPct: 50 }]);

  test('two tabs that log at once lose nothing, and a deleted session stays deleted', async () => {
    const { data, storage } = memoryStorage();
    const alone = mutex();
    const a = tab(storage, () => {}, alone);
    const b = tab(storage, () => {}, alone);
    await a.keeper.start();
    const begun = beginSession({ works: [], boxMinutes: 60, goal: 'the sky' }, making());
    a.store.dispatch(addSession(begun));
    await a.keeper.flush();
    await b.keeper.start();
    session(a.store, (s) =>
      putOut(s, { name: 'grey', recipe: newPainting().coats[0]!.recipe, ml: 3 }, making()),
    );
    session(b.store, (s) => editSession(s, { note: 'cold light' }));
    await Promise.all([a.keeper.flush(), b.keeper.flush()]);
    const kept = JSON.parse(data.get(`session:${begun.id}`)!) as Session;
    expect([kept.note, kept.palette.map((m) => m.name)]).toEqual(['cold light', ['grey']]);
    await b.keeper.arrived([`session:${begun.id}`]);
    b.store.dispatch(removeSession(begun.id));
    await b.keeper.flush();
    expect(data.has(`session:${begun.id}`)).toBe(false);
    await a.keeper.arrived([`session:${begun.id}`]);
    expect(a.store.getState().sessions.ids).toEqual([]);
    // And the deletion can be undone.
    b.store.dispatch(undone());
    await b.keeper.flush();
    expect(data.has(`session:${begun.id}`)).toBe(true);
  });

  test('two tabs that hear one logger keep every hour of both, though both began the month', async () => {
    const { data, storage } = memoryStorage();
    const alone = mutex();
    const a = tab(storage, () => {}, alone);
    const b = tab(storage, () => {}, alone);
    await a.keeper.start();
    await b.keeper.start();
    a.store.dispatch(takeInHours(reading(0, 18)));
    b.store.dispatch(takeInHours(reading(1, 19)));
    await Promise.all([a.keeper.flush(), b.keeper.flush()]);
    const month = JSON.parse(data.get('climate:2026-02')!) as { hours: number[][] };
    expect(month.hours.map((h) => h[1])).toEqual([18, 19]);
  });

  test('a session nobody can read is named and does not stop the others', async () => {
    const { data, storage } = memoryStorage();
    data.set('session:x', '{"schemaVersion":1}');
    data.set('climate:2026-01', '[]');
    const { store, keeper } = tab(storage);
    await keeper.start();
    expect(store.getState().saving.unreadable.map((u) => u.key)).toEqual([
      'session:x',
      'climate:2026-01',
    ]);
    expect(store.getState().saving.phase).toBe('saved');
  });
});

test('what is said of the weeks to come is kept, taken back, and merged between two tabs', async () => {
  const { storage } = memoryStorage();
  const first = tab(storage);
  await first.keeper.start();
  first.store.dispatch(changePlan('Held', (record) => pinWorks(record, { a: 0 })));
  await first.keeper.flush();
  const second = tab(storage);
  await second.keeper.start();
  expect(planRecordOf(second.store.getState()).pins.map((p) => p.id)).toEqual(['a']);
  second.store.dispatch(changePlan('Held', (record) => pinWorks(record, { b: 0 })));
  await second.keeper.flush();
  first.store.dispatch(changePlan('Held', (record) => pinWorks(record, { c: 0 })));
  await first.keeper.flush();
  const pins = () =>
    planRecordOf(first.store.getState())
      .pins.map((p) => p.id)
      .sort();
  expect(pins()).toEqual(['a', 'b', 'c']);
  // Taken back: what the other tab said stays.
  first.store.dispatch(undone());
  expect(pins()).toEqual(['a', 'b']);
});
