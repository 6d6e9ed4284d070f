import fc from 'fast-check';
import { filmOfRecipe } from '../film';
import { STUDIO_HANDBOOK } from '../handbook';
import { part, recipe, tube } from '../tests/recipes';
import {
  DAY_MS,
  dryingClock,
  dryingRate,
  dryingTimes,
  dryingWindows,
  ON_NEUTRAL_GROUND,
  REFERENCE_CLIMATE,
  type Climate,
} from '.';

const { constants } = STUDIO_HANDBOOK;
const LAID = Date.UTC(2026, 1, 10);

const anyPaint = fc
  .record({
    pigment: fc.constantFrom(...Object.keys(STUDIO_HANDBOOK.pigments)),
    share: fc.double({ min: 0, max: 0.6, noNaN: true }),
    oil: fc.constantFrom('stand-oil' as const, 'walnut' as const, 'alkyd-medium' as const),
    thickness: fc.double({ min: 3, max: 500, noNaN: true }),
  })
  .map((p) => recipe([tube(p.pigment)], p.share, p.share > 0 ? [part(p.oil)] : [], p.thickness));

const anyClimate: fc.Arbitrary<Climate> = fc.record({
  temperatureC: fc.double({ min: 6, max: 34, noNaN: true }),
  relativeHumidityPct: fc.double({ min: 10, max: 95, noNaN: true }),
  light: fc.constantFrom('dark' as const, 'dim' as const, 'room' as const, 'bright' as const),
  air: fc.constantFrom('cupboard' as const, 'room' as const, 'moving' as const),
});

type Paint = ReturnType<typeof recipe>;
const windowsOf = (paint: Paint, climate: Climate, coveredAfterDays: number | null = null) => {
  const film = filmOfRecipe(STUDIO_HANDBOOK, paint);
  const times = dryingTimes(STUDIO_HANDBOOK, film, paint.thicknessUm, ON_NEUTRAL_GROUND, climate);
  const covered = coveredAfterDays === null ? null : LAID + coveredAfterDays * DAY_MS;
  return dryingWindows(
    constants,
    times,
    dryingClock(constants, times.kind, climate, LAID, covered),
  );
};

describe('windows, whatever the paint and the climate (a failure prints its seed)', () => {
  test('marks come in order of their chance, and stages in their own order', () => {
    fc.assert(
      fc.property(anyPaint, anyClimate, (paint, climate) => {
        const w = windowsOf(paint, climate);
        const chances = Object.values(w).every(
          ({ p10, p25, p50, p75, p90 }) =>
            LAID < p10! && p10! < p25! && p25! < p50! && p50! < p75! && p75! < p90!,
        );
        const stages =
          w.openUntil.p50! < w.set.p50! &&
          w.set.p50! < w.touchDry.p50! &&
          w.touchDry.p50! < w.throughDry.p50!;
        return chances && stages;
      }),
    );
  });

  test('covering a film never makes it dry sooner', () => {
    fc.assert(
      fc.property(
        anyPaint,
        anyClimate,
        fc.double({ min: 0.01, max: 30, noNaN: true }),
        (paint, climate, days) => {
          const free = windowsOf(paint, climate);
          const covered = windowsOf(paint, climate, days);
          return (['touchDry', 'throughDry'] as const).every(
            (s) => covered[s].p50! >= free[s].p50! - 1,
          );
        },
      ),
    );
  });

  test('a warmer studio never dries slower, a damper one never faster', () => {
    fc.assert(
      fc.property(anyClimate, fc.double({ min: 0, max: 20, noNaN: true }), (climate, more) => {
        const rate = dryingRate(constants, climate);
        const warmer = dryingRate(constants, {
          ...climate,
          temperatureC: climate.temperatureC + more,
        });
        const damper = dryingRate(constants, {
          ...climate,
          relativeHumidityPct: Math.min(100, climate.relativeHumidityPct + more),
        });
        return warmer >= rate - 1e-12 && damper <= rate + 1e-12;
      }),
    );
  });

  test('the window is narrowest in the climate of the tables', () => {
    fc.assert(
      fc.property(anyPaint, anyClimate, (paint, climate) => {
        const spread = (c: Climate) => {
          const { p10, p90 } = windowsOf(paint, c).touchDry;
          return Math.log((p90! - LAID) / (p10! - LAID));
        };
        return spread(climate) >= spread(REFERENCE_CLIMATE) - 1e-9;
      }),
    );
  });

  test('times scale with the rate: twice the rate is half the time', () => {
    fc.assert(
      fc.property(anyPaint, (paint) => {
        const still = windowsOf(paint, { ...REFERENCE_CLIMATE, air: 'sealed' });
        const room = windowsOf(paint, REFERENCE_CLIMATE);
        return Math.abs((still.touchDry.p50! - LAID) / (room.touchDry.p50! - LAID) - 2) < 1e-6;
      }),
    );
  });
});
