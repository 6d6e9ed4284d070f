import {
  de2000,
  filmOfTubes,
  flat,
  groundSpectrum,
  labOf,
  opaque,
  over,
  plateOf,
  seen,
  tablePaintOf,
  type Lab,
} from '.';
import { searchGlaze, type GlazeTask } from './glaze-search';

const PAINTS = [
  'titanium-white',
  'yellow-ochre',
  'transparent-oxide-red',
  'burnt-umber',
  'ultramarine-blue',
  'alizarin-crimson',
  'hansa-yellow-medium',
  'viridian',
  'ivory-black',
];
const limits = { leastUm: 3, mostUm: 40, usualUm: 12, leastTube: 0.02, mostTube: 1 };
const task = (more: Partial<GlazeTask>): GlazeTask => ({
  paints: PAINTS.map(tablePaintOf),
  below: groundSpectrum('opaque-titanium-white'),
  wanted: [50, 0, 0],
  finish: 'oil-gloss',
  limits,
  ...more,
});
const glazed = (tubes: Record<string, number>, clear: number, below: Float64Array): Lab =>
  labOf(seen(over(plateOf(filmOfTubes(tubes, clear)), below), 'oil-gloss'));

test('a glaze that was laid is found again, whatever it was made of', () => {
  const below = groundSpectrum('warm-tone');
  const mixes: Record<string, number>[] = [
    { 'ultramarine-blue': 0.8 },
    { 'alizarin-crimson': 0.5, 'burnt-umber': 0.3 },
    { 'hansa-yellow-medium': 0.6, 'ultramarine-blue': 0.4 },
  ];
  for (const tubes of mixes) {
    const total = Object.values(tubes).reduce((a, b) => a + b, 0);
    const wanted = glazed(tubes, 12 - total, below);
    const found = searchGlaze(task({ below, wanted }));
    expect(found.reached).toBe(true);
    expect(found.answers[0]!.de).toBeLessThan(0.6);
    // What is told is what these paints do, worked out by the film of the composition.
    const [best] = found.answers;
    const its = Object.fromEntries(best!.paints.map((p) => [PAINTS[p.index]!, p.um]));
    const tube = Object.values(its).reduce((a, b) => a + b, 0);
    expect(de2000(glazed(its, best!.thicknessUm - tube, below), best!.lab)).toBeLessThan(0.05);
    expect(
      new Set(
        found.answers.map((a) =>
          a.paints
            .map((p) => p.index)
            .sort()
            .join(),
        ),
      ).size,
    ).toBe(found.answers.length);
  }
});

test('no glaze lightens without white: it is told, and the opaque mix is found instead', () => {
  const dark = opaque(filmOfTubes({ 'burnt-umber': 1 }));
  const paints = ['transparent-oxide-red', 'ultramarine-blue', 'viridian'].map(tablePaintOf);
  const none = searchGlaze(task({ paints, below: dark, wanted: [70, 0, 10] }));
  expect(none.reached).toBe(false);
  const painted = searchGlaze(task({ below: null, wanted: [70, 0, 10] }));
  expect(painted.reached).toBe(true);
  const sum = painted.answers[0]!.paints.reduce((s, p) => s + p.um, 0);
  expect(sum).toBeCloseTo(1, 6);
  const mixed = Object.fromEntries(painted.answers[0]!.paints.map((p) => [PAINTS[p.index]!, p.um]));
  expect(
    de2000(labOf(seen(opaque(filmOfTubes(mixed)), 'oil-gloss')), painted.answers[0]!.lab),
  ).toBeLessThan(0.05);
});

test('the film stays inside its limits, and a disliked paint gives way', () => {
  const wanted: Lab = [45, 20, 25];
  const fat = { ...limits, mostTube: 0.3, mostUm: 20 };
  const found = searchGlaze(task({ wanted, limits: fat }));
  for (const answer of found.answers) {
    const tube = answer.paints.reduce((s, p) => s + p.um, 0);
    expect(answer.thicknessUm).toBeLessThanOrEqual(20 + 1e-9);
    expect(tube / answer.thicknessUm).toBeLessThanOrEqual(0.3 + 1e-9);
  }
  const free = searchGlaze(task({ wanted }));
  const first = free.answers[0]!.paints[0]!.index;
  const dislike = PAINTS.map((_, i) => (i === first ? 50 : 0));
  const other = searchGlaze(task({ wanted, dislike }));
  expect(other.answers[0]!.paints.some((p) => p.index === first)).toBe(false);
});

test('a glaze weaker than the medium allows is not told', () => {
  const wanted = glazed({ 'burnt-umber': 0.02 }, 11.98, groundSpectrum('opaque-titanium-white'));
  const capped = { ...limits, leastTube: 0.2 };
  for (const answer of searchGlaze(task({ wanted, limits: capped })).answers) {
    const tube = answer.paints.reduce((s, p) => s + p.um, 0);
    expect(tube / answer.thicknessUm).toBeGreaterThanOrEqual(0.2 - 1e-9);
    expect(answer.thicknessUm).toBeGreaterThanOrEqual(3 - 1e-9);
  }
});

test('it is stopped with the best so far, and looks the same every time', () => {
  let asked = 0;
  const stopped = searchGlaze(task({ wanted: [40, 10, 10] }), () => (asked += 1) > 2);
  expect(stopped.stopped).toBe(true);
  expect(stopped.answers.length).toBeGreaterThan(0);
  const [one, other] = [0, 1].map(() => searchGlaze(task({ wanted: [40, 10, 10] })));
  expect(one).toEqual(other);
  expect(one!.looked).toBeGreaterThan(1000);
});

test('white crowds in the search as in the film', () => {
  const below = flat(0.05);
  const found = searchGlaze(
    task({ below, wanted: [60, -1, -6], limits: { ...limits, usualUm: 10 } }),
  );
  expect(found.reached).toBe(true);
  const [best] = found.answers;
  const its = Object.fromEntries(best!.paints.map((p) => [PAINTS[p.index]!, p.um]));
  const tube = Object.values(its).reduce((a, b) => a + b, 0);
  expect(de2000(glazed(its, best!.thicknessUm - tube, below), best!.lab)).toBeLessThan(0.05);
});
