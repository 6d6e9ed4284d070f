import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import {
  de2000,
  filmOfTubes,
  groundSpectrum,
  labOf,
  over,
  plateOf,
  seen,
  tablePaintOf,
  type Lab,
  type OpticalPaint,
} from '.';
import { calibrate, patchLab, thinned, type Patch } from './calibrate';
import { correctionOf, type Multipliers } from './correction';

const AS_TABLE: Multipliers = { strength: [0, 0, 0], scattering: 0, power: 0, shiftNm: 0 };
const white = tablePaintOf('titanium-white');
const card = groundSpectrum('chart-white');
const black = groundSpectrum('black');
const PATCHES = {
  masstone: { laid: { kind: 'masstone' }, finish: 'oil-gloss', lab: [0, 0, 0] },
  tint: { laid: { kind: 'tint', share: 0.1, white }, finish: 'oil-gloss', lab: [0, 0, 0] },
  onWhite: {
    laid: { kind: 'film', um: 25, tubeShare: 0.5, below: card },
    finish: 'oil-gloss',
    lab: [0, 0, 0],
  },
  onBlack: {
    laid: { kind: 'film', um: 25, tubeShare: 0.5, below: black },
    finish: 'oil-gloss',
    lab: [0, 0, 0],
  },
} satisfies Record<string, Patch>;

const truthOf = (paint: OpticalPaint, m: Multipliers): OpticalPaint => ({
  ...paint,
  correction: correctionOf(paint.pigments, m),
});
const observed = (truth: OpticalPaint, patches: Patch[], noise: () => number): Patch[] =>
  patches.map((p) => ({
    ...p,
    lab: patchLab(truth, p).map((v) => v + noise()) as Lab,
  }));
const unseen = (paint: OpticalPaint, um: number, share: number): Lab =>
  labOf(seen(over(plateOf(thinned(paint, um, share)), card), 'oil-gloss'));

test('a tube as the table has it stays as the table has it', () => {
  const paint = tablePaintOf('ultramarine-blue');
  const told = calibrate(
    paint,
    observed(paint, [PATCHES.masstone, PATCHES.tint], () => 0),
  );
  expect(told.deviation).toBeLessThan(0.01);
  expect(Math.max(...told.misfit)).toBeLessThan(0.05);
  expect(told.doubtful).toBe(false);
  const { k, s } = correctionOf(paint.pigments, AS_TABLE);
  for (const v of [...k, ...s]) expect(v).toBeCloseTo(1, 12);
});

test('a stronger, weaker scattering tube is found from masstone and tint', () => {
  const paint = tablePaintOf('burnt-sienna');
  const truth: Multipliers = { strength: [0.3, 0.3, 0.3], scattering: -0.2, power: 0, shiftNm: 0 };
  const told = calibrate(
    paint,
    observed(truthOf(paint, truth), [PATCHES.masstone, PATCHES.tint], () => 0),
  );
  expect(Math.max(...told.misfit)).toBeLessThan(0.6);
  expect(told.multipliers.strength[1]).toBeGreaterThan(0.1);
  expect(told.known.strength[1]).toBeLessThan(0.8);
  // Of the power of wavelength two patches tell nothing.
  expect(told.known.power).toBeGreaterThan(0.9);
});

// Round trips on invented painters: truth scattered about the table, photos with noise. The table alone misses an unseen
// glaze by far more than the calibrated paint does; the figures are the median's order, not its digits.
test('on synthetic tubes with noise unseen films come nearer by half', () => {
  const rng = xoroshiro128plus(20261129);
  const uniform = () => (rng.next() >>> 0) / 4294967296;
  const normal = () =>
    Math.sqrt(-2 * Math.log(uniform() + 1e-12)) * Math.cos(2 * Math.PI * uniform());
  const before: number[] = [];
  const after: number[] = [];
  for (const key of [
    'ultramarine-blue',
    'burnt-sienna',
    'yellow-ochre',
    'alizarin-crimson',
    'phthalo-green-blue-shade',
    'cadmium-red',
    'quinacridone-magenta',
    'raw-umber',
  ])
    for (let n = 0; n < 3; n++) {
      const paint = tablePaintOf(key);
      const common = 0.4 * normal();
      const truth = truthOf(paint, {
        strength: [0, 1, 2].map(() => common + 0.15 * normal()) as [number, number, number],
        scattering: 0.4 * normal(),
        power: 0.2 * normal(),
        shiftNm: 4 * normal(),
      });
      const patches = observed(truth, [PATCHES.masstone, PATCHES.tint], () => 0.7 * normal());
      const { multipliers } = calibrate(paint, patches);
      const fitted = { ...paint, correction: correctionOf(paint.pigments, multipliers) };
      for (const [um, share] of [
        [15, 0.1],
        [20, 0.3],
      ] as const) {
        before.push(de2000(unseen(paint, um, share), unseen(truth, um, share)));
        after.push(de2000(unseen(fitted, um, share), unseen(truth, um, share)));
      }
    }
  const median = (v: number[]) => v.sort((a, b) => a - b)[Math.floor(v.length / 2)]!;
  expect(median(after)).toBeLessThan(0.5 * median(before));
  expect(median(after)).toBeLessThan(2);
});

test('films over black and white tell the covering power', () => {
  const paint = tablePaintOf('titanium-white');
  const weak: Multipliers = { strength: [0, 0, 0], scattering: -0.5, power: 0, shiftNm: 0 };
  const told = calibrate(
    paint,
    observed(truthOf(paint, weak), [PATCHES.onBlack, PATCHES.onWhite], () => 0),
  );
  expect(told.multipliers.scattering).toBeLessThan(-0.25);
  expect(told.tableMisfit[0]).toBeGreaterThan(3);
  expect(told.misfit[0]).toBeLessThan(1);
});

test('patches that are no such paint are doubted', () => {
  const paint = tablePaintOf('ultramarine-blue');
  const red = tablePaintOf('cadmium-red');
  const told = calibrate(
    paint,
    observed(red, [PATCHES.masstone, PATCHES.tint], () => 0),
  );
  expect(told.doubtful).toBe(true);
});

test('a film thinned with medium is the film of its composition', () => {
  const film = thinned(tablePaintOf('yellow-ochre'), 20, 0.25);
  const same = filmOfTubes({ 'yellow-ochre': 5 }, 15);
  film.kh.forEach((k, i) => expect(k).toBeCloseTo(same.kh[i]!, 12));
});
