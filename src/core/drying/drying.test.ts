import fc from 'fast-check';
import { HANDBOOK_CONSTANTS, STUDIO_CONSTANTS } from '@/data/constants';
import { filmOfRecipe, type Recipe } from '../film';
import { STUDIO_HANDBOOK, type Handbook } from '../handbook';
import { HANDBOOK_SET } from '../tests/handbook-set';
import { ALKYD, FLESH, part, recipe, tube } from '../tests/recipes';
import {
  acrylicRate,
  DAY_MS,
  dryingClock,
  dryingRate,
  dryingTimes,
  dryingWindows,
  dryState,
  FILM_TEST_STAGES,
  filmTestDoses,
  humidityFactor,
  ON_NEUTRAL_GROUND,
  probabilityBy,
  quantileOf,
  REFERENCE_CLIMATE,
  temperatureFactor,
  type Climate,
} from '.';

const near = (actual: number, expected: number, tolerance: number) =>
  expect(Math.abs(actual - expected)).toBeLessThanOrEqual(tolerance);
const timesOf = (handbook: Handbook, r: Recipe, climate: Climate = REFERENCE_CLIMATE) =>
  dryingTimes(handbook, filmOfRecipe(handbook, r), r.thicknessUm, ON_NEUTRAL_GROUND, climate);
/** A paint whose base is 5 d x 1 x tube factor, as the worked examples use: neutral pigment. */
const neutral: Handbook = {
  ...HANDBOOK_SET,
  pigments: {
    ...HANDBOOK_SET.pigments,
    neutral: { ...HANDBOOK_SET.pigments['titanium-white']!, key: 'neutral', dryingFactor: 1 },
  },
};
const climate = (temperatureC: number, relativeHumidityPct = 50): Climate => ({
  ...REFERENCE_CLIMATE,
  temperatureC,
  relativeHumidityPct,
});

describe('rate', () => {
  // Arrhenius by hand with Ea 60 kJ/mol; Ea after Litwinienko and the studio rule; from memory.
  test('T12 temperature factor at 10, 20, 30 C; 25 over 15 C', () => {
    near(temperatureFactor(HANDBOOK_CONSTANTS, 10), 0.4192, 0.0005);
    near(temperatureFactor(HANDBOOK_CONSTANTS, 20), 1, 0.0005);
    near(temperatureFactor(HANDBOOK_CONSTANTS, 30), 2.2526, 0.0005);
    near(
      temperatureFactor(HANDBOOK_CONSTANTS, 25) / temperatureFactor(HANDBOOK_CONSTANTS, 15),
      2.316,
      0.002,
    );
  });

  test.each([
    [5, 0.265],
    [12, 0.501],
    [16, 0.711],
    [18, 0.844],
    [22, 1.182],
    [23, 1.283],
    [35, 3.315],
  ])('temperature factor at %i C is %f', (t, expected) =>
    near(temperatureFactor(STUDIO_CONSTANTS, t), expected, 0.0006),
  );

  test('T14 a cold damp studio (10 C, 80 % RH): rate 0.3186, a 5 d paint takes 15.7 d', () => {
    const rate = dryingRate(HANDBOOK_CONSTANTS, climate(10, 80));
    near(rate, 0.3186, 0.001);
    near(5 / rate, 15.7, 0.05);
  });

  test('below 5 C the rate falls without a jump and stops at 0 C; above 35 C it stays', () => {
    near(
      temperatureFactor(STUDIO_CONSTANTS, 4.999),
      temperatureFactor(STUDIO_CONSTANTS, 5.001),
      0.001,
    );
    expect(temperatureFactor(STUDIO_CONSTANTS, 0)).toBe(0);
    expect(temperatureFactor(STUDIO_CONSTANTS, -5)).toBe(0);
    expect(temperatureFactor(STUDIO_CONSTANTS, 44)).toBe(temperatureFactor(STUDIO_CONSTANTS, 35));
  });

  test('humidity is bounded at both ends', () => {
    expect(humidityFactor(STUDIO_CONSTANTS, 50)).toBe(1);
    near(humidityFactor(STUDIO_CONSTANTS, 100), 0.6, 1e-9);
    near(humidityFactor(STUDIO_CONSTANTS, 20), 1.06, 1e-9);
    near(humidityFactor(STUDIO_CONSTANTS, 0), 1.06, 1e-9);
  });

  test('acrylic does not form a film below 10 C', () => {
    expect(acrylicRate(STUDIO_CONSTANTS, climate(9))).toBe(0);
    expect(acrylicRate(STUDIO_CONSTANTS, climate(20, 95))).toBe(
      acrylicRate(STUDIO_CONSTANTS, climate(20, 90)),
    );
  });
});

describe('worked examples with the handbook set', () => {
  test('T15 base 3.75 d at 200 um: touch 7.5 d, through 120 d, sigma 0.772, 10-90 % 44.6-322.6 d', () => {
    const t = timesOf(neutral, recipe([tube('neutral')], 0, [], 200));
    near(t.baseDays, 3.75, 0.001);
    near(t.touch.median, 7.5, 0.01);
    near(t.through.median, 120, 0.1);
    near(t.through.sigma, 0.772, 0.001);
    near(quantileOf(t.through, 0.1), 44.6, 0.5);
    near(quantileOf(t.through, 0.9), 322.6, 0.5);
  });

  test('T15 with the studio set: touch 6.38 d for the same base', () => {
    const h: Handbook = { ...neutral, constants: { ...STUDIO_CONSTANTS, tubeFactor: 0.75 } };
    near(timesOf(h, recipe([tube('neutral')], 0, [], 200)).touch.median, 6.38, 0.01);
  });

  test('T16 titanium, a fifth of alkyd medium: base 4.875 d, factor 0.500, touch 2.44 d', () => {
    const t = timesOf(HANDBOOK_SET, recipe([tube('titanium-white')], 0.2, ALKYD));
    near(t.baseDays, 4.875, 0.001);
    near(t.alkydFactor, 0.5, 0.001);
    near(t.touch.median, 2.44, 0.01);
  });

  test('T16 with the studio set: base 3.575 d, factor 0.348, touch 1.24 d', () => {
    const h: Handbook = { ...HANDBOOK_SET, constants: STUDIO_CONSTANTS };
    const t = timesOf(h, recipe([tube('titanium-white')], 0.2, ALKYD));
    near(t.baseDays, 3.575, 0.001);
    near(t.alkydFactor, 0.348, 0.001);
    near(t.touch.median, 1.24, 0.01);
  });
});

describe('the studio set against the trade', () => {
  // Medians and 50 % windows in days, computed by hand with the studio constants.
  test.each([
    ['flesh 25 um, a quarter alkyd', recipe(FLESH, 0.25, ALKYD, 25), 0.76, 0.52, 1.1],
    [
      'ivory black 25 um, a quarter alkyd',
      recipe([tube('ivory-black')], 0.25, ALKYD, 25),
      1.02,
      0.7,
      1.47,
    ],
    [
      'quinacridone 15 um, a quarter alkyd',
      recipe([tube('quinacridone-rose')], 0.25, ALKYD, 15),
      0.75,
      0.51,
      1.11,
    ],
    ['flesh 20 um', recipe(FLESH, 0, [], 20), 2.39, 1.74, 3.28],
    ['flesh 50 um', recipe(FLESH, 0, [], 50), 3.22, 2.37, 4.36],
    ['flesh 75 um', recipe(FLESH, 0, [], 75), 3.72, 2.74, 5.06],
    [
      'burnt sienna tone 15 um, half linseed:spirit',
      recipe([tube('burnt-sienna')], 0.5, [part('linseed-refined'), part('mineral-spirits')], 15),
      2.09,
      1.51,
      2.9,
    ],
    [
      'raw umber 8 um in spirit',
      recipe([tube('raw-umber')], 0.5, [part('mineral-spirits')], 8),
      0.71,
      0.5,
      1.02,
    ],
  ])('%s', (_, r, median, lo, hi) => {
    const { touch } = timesOf(STUDIO_HANDBOOK, r);
    near(touch.median, median, 0.006);
    near(quantileOf(touch, 0.25), lo, 0.006);
    near(quantileOf(touch, 0.75), hi, 0.006);
  });

  const insideHalfWindow = (r: Recipe, days: number) => {
    const { touch } = timesOf(STUDIO_HANDBOOK, r);
    expect(quantileOf(touch, 0.25)).toBeLessThanOrEqual(days);
    expect(quantileOf(touch, 0.75)).toBeGreaterThanOrEqual(days);
  };

  // Common practice, no source: with at most 25 % of an alkyd medium, thin coats are dry the next day.
  test('a thin coat with a quarter of alkyd medium is dry the next day', () => {
    insideHalfWindow(recipe(FLESH, 0.25, ALKYD, 25), 1);
    insideHalfWindow(recipe([tube('ivory-black')], 0.25, ALKYD, 25), 1);
  });

  // Common practice, no source: two to three days between thin to normal oil coats.
  test('two to three days between thin to normal oil coats', () => {
    insideHalfWindow(recipe(FLESH, 0, [], 20), 2);
    insideHalfWindow(recipe(FLESH, 0, [], 50), 2.5);
    insideHalfWindow(recipe(FLESH, 0, [], 50), 3);
    insideHalfWindow(recipe(FLESH, 0, [], 75), 3);
  });

  // Common practice, no source: acrylic is dry within the hour (9, 29 and 58 minutes at 15, 50, 100 um).
  test.each([
    [15, 9],
    [50, 29],
    [100, 58],
  ])('acrylic at %i um is dry in %i minutes', (thickness, minutes) => {
    const { touch, kind } = timesOf(
      STUDIO_HANDBOOK,
      recipe([tube('burnt-sienna', 1, 'acrylic')], 0, [], thickness),
    );
    expect(kind).toBe('acrylic');
    near(touch.median * 24 * 60, minutes, 0.5);
  });

  // A tone of unknown recipe that was tacky through a week: common practice, no source. Not fitted.
  test('a tone that stays wet for a week is inside what poppy or stand oil, thick and cold can do', () => {
    const cold = climate(14, 65);
    const rate = dryingRate(STUDIO_CONSTANTS, cold);
    const days = (r: Recipe, p: number) =>
      quantileOf(timesOf(STUDIO_HANDBOOK, r, cold).touch, p) / rate;
    const poppy = recipe(
      [tube('yellow-ochre', 1, 'poppy')],
      0.4,
      [part('poppy'), part('mineral-spirits')],
      30,
    );
    const stand = recipe(
      [tube('yellow-ochre')],
      0.5,
      [part('stand-oil', 2), part('mineral-spirits')],
      30,
    );
    for (const r of [poppy, stand]) {
      expect(days(r, 0.05)).toBeLessThan(9);
      expect(days(r, 0.95)).toBeGreaterThan(7);
    }
    // The usual thinned umber tone is far sooner.
    expect(days(recipe([tube('raw-umber')], 0.3, [part('mineral-spirits')], 10), 0.9)).toBeLessThan(
      4,
    );
  });

  // ASTM D1640 tests at 23 C: coatings standards see 0.78 of the times at 20 C (computed).
  test('times at 23 C are 0.78 of those at 20 C', () => {
    near(1 / dryingRate(STUDIO_CONSTANTS, climate(23)), 0.78, 0.005);
  });
});

describe('windows', () => {
  const times = timesOf(STUDIO_HANDBOOK, recipe(FLESH));
  const laid = Date.UTC(2026, 1, 10, 9);
  const clock = (covered: number | null = null, c = REFERENCE_CLIMATE) =>
    dryingClock(STUDIO_CONSTANTS, 'oil', c, laid, covered);

  test('stages come in order at every chance', () => {
    const w = dryingWindows(STUDIO_CONSTANTS, times, clock());
    for (const p of ['p10', 'p25', 'p50', 'p75', 'p90'] as const) {
      const order = [w.openUntil[p]!, w.set[p]!, w.touchDry[p]!, w.throughDry[p]!];
      expect([...order].sort((a, b) => a - b)).toEqual(order);
    }
    near((w.touchDry.p50! - laid) / DAY_MS, times.touch.median, 1e-6);
    near((w.openUntil.p50! - laid) / (w.touchDry.p50! - laid), times.openOverTouch, 1e-9);
  });

  test('body colour stays open for longer than a wash of it: common practice, no source', () => {
    const earth = [tube('burnt-sienna', 2), tube('yellow-ochre', 2), tube('raw-sienna', 1)];
    const openDays = (r: Recipe) => {
      const t = timesOf(STUDIO_HANDBOOK, r);
      return t.openOverTouch * t.touch.median;
    };
    // Of 60 to 100 um it still blends next day, more often than not: a night, and the morning after a day.
    for (const um of [60, 80, 100]) {
      expect(openDays(recipe(earth, 0, [], um))).toBeGreaterThan(0.8);
      expect(openDays(recipe(FLESH, 0, [], um))).toBeGreaterThan(1);
    }
    // A wash for hours.
    const wash = openDays(recipe([tube('raw-umber')], 0.6, [part('mineral-spirits')], 6));
    expect(wash).toBeGreaterThan(1 / 24);
    expect(wash).toBeLessThan(9 / 24);
    // A thin film is open for 0.35 of touch-dry, as the trade says; slow oil never past most of the way to tacky.
    near(
      timesOf(STUDIO_HANDBOOK, recipe([tube('ivory-black')], 0, [], 15)).openOverTouch,
      0.35,
      1e-9,
    );
    const slow = timesOf(STUDIO_HANDBOOK, recipe([tube('titanium-white', 1, 'poppy')], 0, [], 200));
    near(slow.openOverTouch, 0.8 * slow.setOverTouch, 1e-9);
  });

  test('a covered film goes on at half its rate from the first cover', () => {
    const covered = laid + DAY_MS;
    const c = clock(covered);
    near(c.doseAt(laid + 3 * DAY_MS), 2, 1e-9);
    expect(c.timeOf(2)).toBe(laid + 3 * DAY_MS);
    expect(c.timeOf(0.5)).toBe(laid + DAY_MS / 2);
    expect(c.doseAt(laid - DAY_MS)).toBe(0);
  });

  test('at 0 C drying stands still and no time is given', () => {
    const w = dryingWindows(STUDIO_CONSTANTS, times, clock(null, climate(0)));
    expect(w.touchDry.p50).toBeNull();
  });

  test('states follow the doses: open, setting, tacky, touch-dry, through-dry', () => {
    const at = (share: number) => dryState(times, times.touch.median * share);
    const open = times.openOverTouch;
    expect([0, 0.99 * open, 1.01 * open, 0.71, 1.01].map(at)).toEqual([
      'open',
      'open',
      'setting',
      'tacky',
      'touch-dry',
    ]);
    expect(dryState(times, times.through.median)).toBe('through-dry');
  });

  test("chances and quantiles are each other's inverse", () => {
    for (const p of [0.05, 0.25, 0.5, 0.9])
      near(probabilityBy(times.touch, quantileOf(times.touch, p)), p, 1e-9);
    expect(probabilityBy(times.touch, 0)).toBe(0);
  });
});

describe('properties', () => {
  const anyRecipe = fc.record({
    pigments: fc.uniqueArray(fc.constantFrom(...Object.keys(STUDIO_HANDBOOK.pigments)), {
      minLength: 1,
      maxLength: 4,
    }),
    parts: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 4, maxLength: 4 }),
    binder: fc.constantFrom(
      'linseed' as const,
      'safflower' as const,
      'walnut' as const,
      'poppy' as const,
      'alkyd' as const,
    ),
    share: fc.double({ min: 0.01, max: 0.6, noNaN: true }),
    medium: fc.constantFrom(
      'stand-oil' as const,
      'linseed-refined' as const,
      'alkyd-medium' as const,
      'damar-varnish' as const,
    ),
    thickness: fc.double({ min: 5, max: 400, noNaN: true }),
  });
  const toRecipe = (r: {
    pigments: string[];
    parts: number[];
    binder: 'linseed' | 'safflower' | 'walnut' | 'poppy' | 'alkyd';
    share: number;
    medium: 'stand-oil' | 'linseed-refined' | 'alkyd-medium' | 'damar-varnish';
    thickness: number;
  }): Recipe =>
    recipe(
      r.pigments.map((p, i) => tube(p, r.parts[i]!, r.binder)),
      r.share,
      [part(r.medium)],
      r.thickness,
    );

  test('a thicker coat never dries sooner, touch or through', () => {
    fc.assert(
      fc.property(anyRecipe, fc.double({ min: 1, max: 3, noNaN: true }), (r, more) => {
        const thin = timesOf(STUDIO_HANDBOOK, toRecipe(r));
        const thick = timesOf(STUDIO_HANDBOOK, toRecipe({ ...r, thickness: r.thickness * more }));
        return (
          thick.touch.median >= thin.touch.median - 1e-9 &&
          thick.through.median >= thin.through.median - 1e-9
        );
      }),
    );
  });

  test('scaling all parts changes no time', () => {
    fc.assert(
      fc.property(anyRecipe, fc.integer({ min: 2, max: 50 }), (r, k) => {
        const a = timesOf(STUDIO_HANDBOOK, toRecipe(r));
        const b = timesOf(STUDIO_HANDBOOK, toRecipe({ ...r, parts: r.parts.map((p) => p * k) }));
        return (
          Math.abs(a.touch.median - b.touch.median) < 1e-9 &&
          Math.abs(a.touch.sigma - b.touch.sigma) < 1e-12
        );
      }),
    );
  });

  test('through-dry is never before three times touch-dry', () => {
    fc.assert(
      fc.property(anyRecipe, (r) => {
        const t = timesOf(STUDIO_HANDBOOK, toRecipe(r));
        return t.through.median >= 3 * t.touch.median - 1e-9;
      }),
    );
  });
});

describe('finer stages', () => {
  const doses = (touch: number, through: number) =>
    filmTestDoses(STUDIO_CONSTANTS, {
      touch: { median: touch, sigma: 0.3 },
      through: { median: through, sigma: 0.3 },
    });

  // Order of stages from ASTM D1640; ratios judgement; recoat 1.3 from "two to three days": common practice, no source.
  test('dust-free before touch-dry, tack-free and recoat after it, dry-hard last', () => {
    const ten = doses(10, 60);
    near(ten.dustFree, 8.5, 1e-9);
    near(ten.tackFree, 13, 1e-9);
    near(ten.recoat, 13, 1e-9);
    near(ten.dryHard, 25, 1e-9);
  });

  test('no stage comes after the film is dry through', () => {
    const thin = doses(10, 12);
    expect(FILM_TEST_STAGES.map((stage) => thin[stage])).toEqual([8.5, 12, 12, 12]);
  });

  // Two to three days between coats of flesh as painters lay them: common practice, no source.
  test('a flesh mix at 25 to 50 um takes a second coat within two to five days', () => {
    for (const thicknessUm of [25, 50]) {
      const { recoat } = filmTestDoses(
        STUDIO_CONSTANTS,
        timesOf(STUDIO_HANDBOOK, { ...recipe(FLESH), thicknessUm }),
      );
      expect(recoat).toBeGreaterThan(2);
      expect(recoat).toBeLessThan(5);
    }
  });
});
