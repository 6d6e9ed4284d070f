import { assessPainting, type Painting } from '../painting';
import { layCoat } from '../painting/events';
import {
  DAY,
  isoDaysAgo,
  making,
  newPainting,
  NOW_MS,
  optionsAt,
  stackOf,
} from '../tests/paintings';
import { recipe, tube } from '../tests/recipes';
import { clusterRows, comingReady, today } from '.';

const WHITE = [tube('titanium-white')];
const see = (paintings: Painting[], nowMs = NOW_MS) =>
  today(
    paintings.map((p) => assessPainting(p, optionsAt(nowMs))),
    nowMs,
  );
const lay = (
  p: Painting,
  coatId: string,
  daysAgo: number,
  passages: number[],
  spot: { name: string; share: number } | null = null,
) =>
  layCoat(
    p,
    {
      coatId,
      passageIds: passages.map((i) => p.passages[i]!.id),
      at: isoDaysAgo(daysAgo),
      spot,
      intoWet: false,
    },
    making(),
  );
const names = (rows: ReturnType<typeof see>['takes-a-coat']) =>
  rows.map((r) => `${r.passage.name}${r.spotName ? `/${r.spotName}` : ''}: ${r.reason}`);
const two = stackOf([recipe(WHITE, 0, [], 40), recipe(WHITE, 0, [], 60)]);

test('bare, open, drying and ready passages stand in their groups', () => {
  const open = lay(two, 'c0', 0.2, [0]);
  expect(names(see([open])['still-open'])).toEqual(['jars: open']);
  expect(names(see([open])['takes-a-coat'])).toEqual(['wall: bare']);
  const drying = lay(two, 'c0', 2, [0, 1]);
  expect(names(see([drying])['leave-alone'])).toEqual(['jars: drying', 'wall: drying']);
  const ready = lay(two, 'c0', 9, [0, 1]);
  expect(names(see([ready])['takes-a-coat'])).toEqual(['jars: ready', 'wall: ready']);
});

test('between the 50 % and the 75 % mark it is probably dry, and still left alone', () => {
  const p = lay(two, 'c0', 0, [0, 1]);
  const [row] = see([p], NOW_MS + 3.2 * DAY)['leave-alone'];
  const { p50, p75 } = row!.window!;
  const between = (p50! + p75!) / 2;
  expect(names(see([p], between)['leave-alone'])).toEqual([
    'jars: probably-dry',
    'wall: probably-dry',
  ]);
  expect(names(see([p], p75! + 1)['takes-a-coat'])).toEqual(['jars: ready', 'wall: ready']);
});

test('the soonest to close and the soonest to be ready come first; nothing planned comes last', () => {
  const p = lay(lay(two, 'c0', 3, [0]), 'c0', 1.5, [1]);
  expect(see([p])['leave-alone'].map((r) => r.passage.name)).toEqual(['jars', 'wall']);
  const done = lay(lay(two, 'c0', 40, [0]), 'c1', 20, [0]);
  expect(names(see([done])['takes-a-coat'])).toEqual(['wall: bare', 'jars: ready-nothing-planned']);
});

test('a wet spot holds its passage back with a row of its own', () => {
  const p = lay(lay(two, 'c0', 12, [0, 1]), 'c1', 0.1, [0], { name: 'Highlights', share: 0.05 });
  expect(names(see([p])['still-open'])).toEqual(['jars/Highlights: open']);
});

test('paint goes round a spot that is not dry, and says so; a varnish waits for it, and for every passage', () => {
  const three = stackOf([recipe(WHITE, 0, [], 40), recipe(WHITE, 0, [], 60), recipe(WHITE)]);
  const spotted = lay(lay(three, 'c0', 12, [0, 1]), 'c1', 2, [0], {
    name: 'Highlights',
    share: 0.05,
  });
  const over = { ...spotted, coats: spotted.coats.filter((c) => c.id !== 'c1') };
  const [row] = see([over])['takes-a-coat'];
  expect([row!.passage.name, row!.around]).toEqual(['jars', ['Highlights']]);
  // Told once with the wall, whichever of the two comes first.
  const rows = see([over])['takes-a-coat'];
  for (const order of [rows, [...rows].reverse()])
    expect(clusterRows(order).map((c) => [c.passages.length, c.row.around])).toEqual([
      [2, ['Highlights']],
    ]);
  const varnish = { ...recipe([]), material: 'synthetic-varnish' as const, thicknessUm: 10 };
  const plan = stackOf(
    [recipe(WHITE, 0, [], 30), varnish],
    [{}, { role: 'varnish', onto: 'through-dry' }],
  );
  const laid = (wallAgo: number) => lay(lay(plan, 'c0', 200, [0]), 'c0', wallAgo, [1]);
  expect(names(see([laid(190)])['takes-a-coat'])).toEqual(['jars: ready', 'wall: ready']);
  const waits = see([laid(3)]);
  expect(waits['takes-a-coat']).toEqual([]);
  const jars = waits['leave-alone'].find((r) => r.passage.name === 'jars')!;
  const wall = waits['leave-alone'].find((r) => r.passage.name === 'wall')!;
  expect([jars.reason, jars.waitsFor, jars.readyAtMs]).toEqual([
    'varnish-waits',
    'wall',
    wall.readyAtMs,
  ]);
  // Told is when the varnish may go on, not when the paint under it is dry: two weeks at least.
  expect(wall.readyAtMs!).toBeGreaterThan(NOW_MS + 10 * DAY);
  const early = wall.next!.findings.find((f) => f.rule === 'varnish-too-early')!;
  expect([wall.reason, wall.readyAtMs]).toEqual(['refused', early.untilMs]);
  // A retouch varnish goes on patches as they come: it waits for nobody else.
  const retouch = { ...varnish, material: 'retouch-varnish' as const };
  const patches = {
    ...laid(3),
    coats: laid(3).coats.map((c) => (c.id === 'c1' ? { ...c, recipe: retouch } : c)),
  };
  expect(names(see([patches])['takes-a-coat'])).toEqual(['jars: ready']);
  // Where the other passage has no paint yet nobody can say when.
  const bare = see([lay(plan, 'c0', 200, [0])]);
  expect(names(bare['takes-a-coat'])).toEqual(['wall: bare']);
  expect(bare['leave-alone'][0]).toMatchObject({ waitsFor: 'wall', readyAtMs: null });
});

test('an oil ground of titanium white waits its six weeks', () => {
  const young: Painting = {
    ...newPainting(),
    ground: { kind: 'oil-ground', laidAt: isoDaysAgo(10) },
  };
  expect(names(see([young])['leave-alone'])).toEqual(['jars: ground-waits', 'wall: ground-waits']);
  expect(see([young], NOW_MS + 32.5 * DAY)['takes-a-coat']).toHaveLength(2);
});

test('in a studio at freezing point drying stands still, and it says so', () => {
  const p = lay(two, 'c0', 3, [0, 1]);
  const cold = assessPainting(p, {
    ...optionsAt(),
    climate: { ...optionsAt().climate, temperatureC: 0 },
  });
  const rows = today([cold], NOW_MS);
  expect(rows['still-open'].length + rows['leave-alone'].length).toBe(2);
  expect(comingReady(rows['leave-alone'], NOW_MS, 3)).toEqual([]);
});

test('passages that were laid together and wait for the same coat are told once', () => {
  const both = lay(two, 'c0', 9, [0, 1]);
  const [cluster, ...rest] = clusterRows(see([both])['takes-a-coat']);
  expect(rest).toEqual([]);
  expect(cluster!.passages.map((p) => p.name)).toEqual(['jars', 'wall']);
  expect(cluster!.whole).toBe(true);
  const apart = lay(lay(two, 'c0', 9, [0]), 'c0', 8, [1]);
  expect(clusterRows(see([apart])['takes-a-coat'])).toHaveLength(2);
});
