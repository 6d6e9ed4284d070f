import { tube } from '../tests/recipes';
import { de2000, flat, groundSpectrum, labOf, seen, tablePaintOf } from '.';
import { NO_SWATCHES } from './composition';
import { filmOfConstituents, sourceOf, type SwatchedTube } from './composition';
import { correctionOf } from './correction';
import { filmOfRecipe } from '../film';
import { STUDIO_HANDBOOK } from '../handbook';
import { own, part, recipe } from '../tests/recipes';
import { calibrationWords, fitPatches } from './fit-patches';
import { patchLab } from './calibrate';
import { amountsOfString, mixOfStep, opticalMix } from './string-amounts';
import { stringOf } from './strings';
import { fatnessOf, findTarget, type TargetTask } from './target';

const KEYS = ['burnt-sienna', 'ultramarine-blue', 'yellow-ochre', 'titanium-white', 'ivory-black'];
const task = (more: Partial<TargetTask> = {}): TargetTask => ({
  tubes: KEYS.map((key) => {
    const { pigment, binder } = tube(key);
    return { pigment, binder };
  }),
  medium: [{ parts: 1, ingredient: 'stand-oil' }],
  mostMediumShare: 0.9,
  leastUm: 3,
  mostUm: 40,
  usualUm: 12,
  below: flat(0.5),
  wanted: [48, 15, 22],
  finish: 'oil-gloss',
  uneven: 0.3,
  swatches: NO_SWATCHES,
  ...more,
});

test('the recipes that are told reach the colour, by the film that the recipe leaves', () => {
  const found = findTarget(task());
  expect(found.reached).toBe(true);
  expect(found.painted).toBeNull();
  for (const { recipe: its, lab, de, between } of found.answers) {
    expect(its.mix.every((p) => p.parts >= 1)).toBe(true);
    expect(its.mediumShare).toBeLessThanOrEqual(0.9 + 1e-9);
    expect(its.thicknessUm).toBeLessThanOrEqual(40);
    expect(de2000(lab, [48, 15, 22])).toBeCloseTo(de, 9);
    // Thinner is nearer to what lies below than thicker.
    expect(between[0][0]).toBeGreaterThan(between[1][0]);
  }
});

test('a school that asks for fat gets more medium and a thicker film of the same colour', () => {
  const lean = findTarget(task()).answers[0]!;
  const fat = findTarget(task({ admits: (r) => fatnessOf(r) >= 0.97 })).answers[0]!;
  expect(fatnessOf(fat.recipe)).toBeGreaterThanOrEqual(0.97);
  expect(fat.recipe.mediumShare).toBeGreaterThan(lean.recipe.mediumShare - 1e-9);
  expect(fat.de).toBeLessThan(3);
  const none = findTarget(task({ admits: () => false }));
  expect(none.answers).toEqual([]);
  expect(none.refused).toBeGreaterThan(0);
  // Then it is told what to paint it with.
  expect(none.painted).not.toBeNull();
});

test('a glaze cannot lighten: the mix to paint it with is told', () => {
  const tubes = task().tubes.slice(0, 3);
  const found = findTarget(task({ tubes, below: flat(0.1), wanted: [75, 0, 10] }));
  expect(found.reached).toBe(false);
  const all = findTarget(task({ mostUm: 10, below: flat(0.02), wanted: [87, 3, 20], medium: [] }));
  expect(all.reached).toBe(false);
  expect(all.painted!.de).toBeLessThan(2);
  expect(all.painted!.recipe.mediumShare).toBe(0);
});

test('the first search is stopped where the painter stops it', () => {
  const found = findTarget(task(), () => true);
  expect(found.stopped).toBe(true);
});

test('a string in tubes and ml: every step holds the whole, and adds up to the paint of the area', () => {
  const dark = [tube('burnt-umber'), tube('ultramarine-blue')];
  const light = [tube('titanium-white', 9), tube('yellow-ochre')];
  const mixes = [dark, light];
  const made = stringOf(
    mixes.map((m) => opticalMix(m, NO_SWATCHES)),
    5,
    'lightness',
  );
  if (!('steps' in made)) throw new Error('no string');
  const amounts = amountsOfString(mixes, made.steps, {
    areaCm2: 500,
    um: 75,
    losses: { canvasFactor: 1, wasteFactor: 1 },
  });
  for (const [i, step] of amounts.entries()) {
    expect(step.reduce((s, a) => s + a.parts, 0)).toBeCloseTo(100, 0);
    // 100 cm2 at 75 um of paint that loses nothing: 0.75 ml; by hand.
    expect(step.reduce((s, a) => s + a.ml, 0)).toBeCloseTo(0.75, 2);
    expect(mixOfStep(mixes, made.steps[i]!.shares)).toHaveLength(step.length);
  }
  expect(amounts[0]).toHaveLength(2);
  expect(amounts[2]).toHaveLength(4);
});

test('a film with a tube of one’s own goes by its swatches, and says so', () => {
  const mine = own({ pigment: 'burnt-sienna' });
  const key = `own:${'own' in mine ? mine.own.id : ''}`;
  const film = filmOfRecipe(
    STUDIO_HANDBOOK,
    recipe([mine, tube('titanium-white')], 0.2, [part('stand-oil')], 20),
  );
  const pigments = { 'burnt-sienna': 0.26 };
  const swatched: SwatchedTube = {
    pigments: { ...pigments },
    correction: correctionOf(pigments, {
      strength: [0.4, 0.4, 0.4],
      scattering: 0,
      power: 0,
      shiftNm: 0,
    }),
    at: '2026-03-12T10:00:00.000Z',
  };
  const swatches = new Map([[key, swatched]]);
  const plain = filmOfConstituents(film, NO_SWATCHES)!;
  const mineOptical = filmOfConstituents(film, swatches)!;
  expect(mineOptical.kh[10]! / plain.kh[10]!).toBeGreaterThan(1.3);
  expect(sourceOf(film, swatches)).toEqual({ kind: 'swatch', at: swatched.at });
  expect(sourceOf(film, NO_SWATCHES)).toEqual({ kind: 'estimate', at: null });
});

test('swatches are told in words, with what they do not tell', () => {
  const paint = tablePaintOf('burnt-sienna');
  const truth = {
    ...paint,
    correction: correctionOf(paint.pigments, {
      strength: [0.35, 0.35, 0.35],
      scattering: 0,
      power: 0,
      shiftNm: 0,
    }),
  };
  const white = tablePaintOf('titanium-white');
  const lab = patchLab(truth, {
    laid: { kind: 'tint', share: 0.1, white },
    lab: [0, 0, 0],
    finish: 'oil-gloss',
  });
  const told = fitPatches(
    paint,
    [{ laid: { kind: 'tint', share: 0.1, white: 'titanium-white' }, lab, finish: 'oil-gloss' }],
    () => null,
  );
  const words = calibrationWords(told);
  expect(words[0]).toMatch(/^1\.\d times stronger than usual\.$/);
  expect(words).toContain('Covering power: not known from these patches.');
  expect(words.at(-1)).toMatch(/within \d\.\d just noticeable steps/);
  expect(labOf(seen(groundSpectrum('black'), 'wet'))[0]).toBeCloseTo(0, 6);
});
