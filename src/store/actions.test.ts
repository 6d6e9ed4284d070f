import { NEW_STUDIO } from '@/core/formats';
import { exportFile } from '@/core/formats/export';
import { CoreError } from '@/core/errors';
import { layCoat } from '@/core/painting/events';
import { isoDaysAgo, making, newPainting, NOW } from '@/core/tests/paintings';
import { demoStudio } from '../../demo/studio';
import type { Painting } from '@/core/painting';
import { readExport } from '@/core/formats/export';
import { addPainting, changePainting, removePainting, undone } from './actions';
import { lineageWith, type Exchange } from './exchange';
import { noteBother } from '@/core/painting/notes-of';
import { bringIn, exchangeAfter, meetFile, recordOf, type Preference } from './bring-in';
import { reader } from './keep/read-documents';
import { openDemo } from './open-demo';
import { paintingsLoaded } from './paintings';
import { beginSession } from '@/core/session';
import { sessionsLoaded } from './sessions';
import { createStore, type Store } from './store';

const painting = newPainting();

test('a painting is added, changed, taken down; each is undone in turn', () => {
  const store = createStore();
  const here = () => store.getState().paintings.entities[painting.id];
  store.dispatch(addPainting(painting));
  store.dispatch(
    changePainting(painting.id, 'Renamed', (p) => ({
      ...p,
      title: 'Renamed',
      revision: p.revision + 1,
    })),
  );
  store.dispatch(removePainting(painting.id));
  expect(here()).toBeUndefined();
  store.dispatch(undone());
  expect(here()!.title).toBe('Renamed');
  store.dispatch(undone());
  expect(here()!.title).toBe(painting.title);
  store.dispatch(undone());
  expect(here()).toBeUndefined();
  store.dispatch(undone());
  expect(store.getState().undo.changes).toEqual([]);
});

test('a change that the core refuses leaves everything as it was', () => {
  const store = createStore();
  store.dispatch(addPainting(painting));
  const before = store.getState();
  const tooSoon = () =>
    store.dispatch(
      changePainting(painting.id, 'Laid', (p, making) =>
        layCoat(
          p,
          {
            coatId: p.coats[0]!.id,
            passageIds: p.coats[0]!.passageIds,
            at: isoDaysAgo(-40_000),
            spot: null,
            intoWet: false,
          },
          making,
        ),
      ),
    );
  expect(tooSoon).toThrow(CoreError);
  expect(store.getState()).toBe(before);
});

test('a beginning is not taken back where others have added to it since', () => {
  const store = createStore();
  store.dispatch(addPainting(painting));
  const elsewhere = noteBother(painting, 'the edge', null, making());
  store.dispatch(paintingsLoaded([elsewhere]));
  store.dispatch(undone());
  expect(store.getState().paintings.entities[painting.id]).toEqual(elsewhere);
  expect(store.getState().saving.declined).toMatch(
    /^Not taken back: “A test of three jars” has been/,
  );
  // What only this page did is no obstacle, once it is taken back itself.
  const own = createStore();
  own.dispatch(addPainting(painting));
  own.dispatch(changePainting(painting.id, 'Noted', (p, m) => noteBother(p, 'that', null, m)));
  own.dispatch(undone());
  own.dispatch(undone());
  expect(own.getState().paintings.ids).toEqual([]);
});

describe('a file taken in', () => {
  const theirs = { ...painting, title: 'There', revision: 4 };
  const other = exportFile('studio', [theirs], { ...NEW_STUDIO, units: 'inch' }, NOW);
  const take = (store: Store, parted: Preference, settings = true) =>
    store.dispatch(bringIn(other, null, { parted, settings }, reader));
  const titles = (store: Store) =>
    Object.values(store.getState().paintings.entities)
      .map((p) => p.title)
      .sort();

  test('is one step, settings and all, and one undo takes it back', async () => {
    const store = createStore();
    await expect(take(store, 'here')).resolves.toBe(2);
    expect(store.getState().studio.units).toBe('inch');
    expect(titles(store)).toEqual(['There']);
    store.dispatch(addPainting({ ...painting, id: 'later', title: 'Later' }));
    store.dispatch(undone());
    store.dispatch(undone());
    expect(titles(store)).toEqual([]);
    expect(store.getState().studio.units).toBe('cm');
    expect(store.getState().undo.changes).toEqual([]);
  });

  test.each<[Preference, string[]]>([
    ['here', [painting.title]],
    ['file', ['There']],
    ['both', ['There (copy)', painting.title]],
  ])('where both changed one thing: %s', async (parted, expected) => {
    const store = createStore();
    store.dispatch(addPainting(painting));
    await take(store, parted, false);
    expect(titles(store)).toEqual(expected.sort());
    expect(store.getState().studio.units).toBe('cm');
    // Newer than what other tabs hold, or they would not take it.
    if (parted === 'file')
      expect(store.getState().paintings.entities[painting.id]!.revision).toBeGreaterThan(4);
  });

  test('a copy of a long title can be read again', async () => {
    const store = createStore();
    store.dispatch(addPainting({ ...painting, title: 'x'.repeat(120) }));
    await take(store, 'both');
    for (const p of Object.values(store.getState().paintings.entities))
      expect(reader.whyNotKept('painting', p)).toBeNull();
  });

  test('what could not be kept together changes nothing at all', async () => {
    const store = createStore();
    const many = (from: number): Painting => ({
      ...painting,
      bothers: Array.from({ length: 300 }, (_, i) => ({
        id: `b${from + i}`,
        at: NOW,
        passageId: null,
        text: 'that',
        doneAt: null,
      })),
    });
    store.dispatch(addPainting(many(0)));
    const before = store.getState();
    const overfull = exportFile('studio', [many(300)], { ...NEW_STUDIO, units: 'inch' }, NOW);
    await expect(
      store.dispatch(bringIn(overfull, null, { parted: 'here', settings: true }, reader)),
    ).rejects.toThrow(/Together they cannot be kept\. bothers/);
    expect(store.getState()).toBe(before);
  });

  test('what the painter does while a file is worked out is not lost', async () => {
    const store = createStore();
    const taking = take(store, 'here');
    store.dispatch(addPainting(painting));
    await taking;
    // Met anew: by then both had the painting, and what is here stays.
    expect(titles(store)).toEqual([painting.title]);
  });

  test('a file that brings a second running session: one ends, in the same step and its undo', async () => {
    const sessionAt = (hours: number) =>
      beginSession({ works: [], boxMinutes: 60, goal: '' }, making(isoDaysAgo(-hours / 24)));
    for (const [here, there] of [
      [sessionAt(-2), sessionAt(-1)],
      [sessionAt(-1), sessionAt(-2)],
    ] as const) {
      const store = createStore();
      store.dispatch(sessionsLoaded([here]));
      const file = exportFile('studio', [], null, NOW, null, { sessions: [there] });
      await store.dispatch(bringIn(file, null, { parted: 'here', settings: false }, reader));
      const running = () =>
        Object.values(store.getState().sessions.entities)
          .filter((s) => s.endedAt === null)
          .map((s) => s.id);
      const later = here.startedAt > there.startedAt ? here : there;
      expect(running()).toEqual([later.id]);
      store.dispatch(undone());
      expect(store.getState().saving.declined).toBeNull();
      expect(running()).toEqual([here.id]);
      expect(store.getState().sessions.ids).toEqual([here.id]);
    }
  });

  test('what only the desk has stays through every journey of the file', async () => {
    const bothers = (store: Store) =>
      store.getState().paintings.entities[painting.id]!.bothers?.map((b) => b.text) ?? [];
    const noted = (store: Store, text: string) =>
      store.dispatch(changePainting(painting.id, 'Noted', (p, m) => noteBother(p, text, null, m)));
    const [desk, phone] = [createStore(), createStore()];
    const known = new Map<Store, Exchange | null>();
    const send = async (from: Store, to: Store, id: string) => {
      const state = from.getState();
      const lineage = lineageWith(known.get(from) ?? null, id);
      const sent = exportFile('studio', Object.values(state.paintings.entities), null, NOW, null, {
        id,
        lineage,
      });
      known.set(from, { id, at: NOW, lineage, record: recordOf(state) });
      const exchange = known.get(to) ?? null;
      const met = await meetFile(to.getState(), sent, exchange);
      await to.dispatch(bringIn(sent, exchange, { parted: 'here', settings: false }, reader));
      known.set(to, exchangeAfter(sent, exchange, NOW));
      return met.map((m) => m.meeting);
    };
    desk.dispatch(addPainting(painting));
    await send(desk, phone, 'f1');
    noted(desk, 'desk');
    noted(phone, 'phone');
    // The phone sends twice: the second file never heard of what the desk noted.
    await expect(send(phone, desk, 'f2')).resolves.toEqual(['both']);
    noted(phone, 'phone again');
    await expect(send(phone, desk, 'f3')).resolves.toEqual(['both']);
    expect(bothers(desk).sort()).toEqual(['desk', 'phone', 'phone again']);
    await expect(send(desk, phone, 'f4')).resolves.toEqual(['file-newer']);
    expect(bothers(phone).sort()).toEqual(bothers(desk).sort());
    // Taken down on the phone it goes from the desk too, and one undo brings it back.
    phone.dispatch(removePainting(painting.id));
    await expect(send(phone, desk, 'f5')).resolves.toEqual(['gone-there']);
    expect(desk.getState().paintings.ids).toEqual([]);
    desk.dispatch(undone());
    expect(bothers(desk)).toHaveLength(3);
  });

  test('of one that descends from this studio, only what both changed is asked about', async () => {
    const store = createStore();
    store.dispatch(addPainting(painting));
    const exchange = { id: 'f1', at: NOW, lineage: ['f1'], record: recordOf(store.getState()) };
    const back = { ...other, lineage: ['f1', 'f2'] };
    const met = await meetFile(store.getState(), back, exchange);
    expect(met.map((m) => [m.kind, m.meeting])).toEqual([
      ['painting', 'file-newer'],
      ['studio', 'file-newer'],
    ]);
    const stranger = await meetFile(store.getState(), { ...other, lineage: ['f7'] }, exchange);
    expect(stranger[0]!.meeting).toBe('parted');
  });
});

test('the demo studio is a valid file, alive whenever it is opened, and leaves nothing to undo', () => {
  for (const now of [Date.UTC(2026, 1, 17, 10), Date.UTC(2031, 6, 1, 22)]) {
    const demo = demoStudio(now);
    const read = readExport(JSON.stringify(demo));
    expect(read.paintings).toHaveLength(7);
    // A log worth reading: every session over, within a day, by somebody who sleeps at night.
    expect(read.sessions.length).toBeGreaterThanOrEqual(20);
    for (const s of read.sessions) {
      expect(Date.parse(s.endedAt!)).toBeLessThanOrEqual(now + 15 * 60_000);
      expect(new Date(s.startedAt).getHours()).toBeGreaterThanOrEqual(7);
    }
    expect(read.climate.length).toBeGreaterThan(0);
    for (const p of read.paintings)
      for (const e of p.events) expect(Date.parse(e.at)).toBeLessThanOrEqual(now);
    const store = createStore();
    store.dispatch(openDemo(demo));
    expect(store.getState().paintings.ids).toHaveLength(7);
    expect(store.getState().undo.changes).toEqual([]);
  }
});
