import { NEW_STUDIO } from '@/core/formats';
import { exportFile } from '@/core/formats/export';
import { CoreError } from '@/core/errors';
import { layCoat } from '@/core/painting/events';
import { isoDaysAgo, newPainting, NOW } from '@/core/tests/paintings';
import { demoStudio } from '../../demo/studio';
import { readExport } from '@/core/formats/export';
import { addPainting, changePainting, removePainting, undone } from './actions';
import { createStore } from './store';
import { conflictsOf, openDemo, takeIn } from './take-in';

const painting = newPainting();
const file = exportFile('studio', [painting], { ...NEW_STUDIO, units: 'inch' }, NOW);

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

test('an import names what is here already, replaces it, or stands beside it', () => {
  const store = createStore();
  expect(conflictsOf(store.getState(), file)).toEqual([]);
  expect(store.dispatch(takeIn(file, 'replace'))).toBe(1);
  expect(store.getState().studio.units).toBe('inch');
  expect(conflictsOf(store.getState(), file).map((p) => p.id)).toEqual([painting.id]);
  store.dispatch(takeIn(file, 'keep-both'));
  const titles = Object.values(store.getState().paintings.entities)
    .map((p) => p.title)
    .sort();
  expect(titles).toEqual([painting.title, `${painting.title} (copy)`]);
  const revision = store.getState().paintings.entities[painting.id]!.revision;
  store.dispatch(takeIn(file, 'replace'));
  // Newer than what other tabs hold, or they would not take it.
  expect(store.getState().paintings.entities[painting.id]!.revision).toBeGreaterThan(revision);
});

test('the demo studio is a valid file, alive whenever it is opened, and leaves nothing to undo', () => {
  for (const now of [Date.UTC(2026, 1, 17, 10), Date.UTC(2031, 6, 1, 22)]) {
    const demo = demoStudio(now);
    const read = readExport(JSON.stringify(demo));
    expect(read.paintings).toHaveLength(4);
    expect(read.sessions).toHaveLength(1);
    expect(read.climate.length).toBeGreaterThan(0);
    for (const p of read.paintings)
      for (const e of p.events) expect(Date.parse(e.at)).toBeLessThanOrEqual(now);
    const store = createStore();
    store.dispatch(openDemo(demo));
    expect(store.getState().paintings.ids).toHaveLength(4);
    expect(store.getState().undo.changes).toEqual([]);
  }
});
