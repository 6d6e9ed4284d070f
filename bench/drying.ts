/**
 * Forecasts from an hourly climate and learning from touch tests, each against its stated limit in the same run.
 */
import { performance } from 'node:perf_hooks';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { followedAir, hoursOf, HOUR_MS } from '../src/core/climate';
import {
  dryingTimes,
  dryingWindows,
  finishWindows,
  ON_NEUTRAL_GROUND,
  REFERENCE_CLIMATE,
} from '../src/core/drying';
import { filmOfRecipe } from '../src/core/film';
import { STUDIO_HANDBOOK as H } from '../src/core/handbook';
import { featuresOf, type FilmEvidence } from '../src/core/learn';
import { learn } from '../src/core/learn/learn';
import { FINDINGS } from '../src/data/learning';
import { PIGMENT_ROWS } from '../src/data/pigments';
import { loggerReading } from '../server/logger';

const LIMIT_FORECAST_MS = 50;
const LIMIT_LEARN_MS = 100;
const FILMS = 200;
const DAYS = 90;
const DAY_MS = 24 * HOUR_MS;
const START = Date.UTC(2026, 0, 5);

const rng = xoroshiro128plus(17);
const random = () => uniformFloat64(rng);

const median = (runs: number, job: () => void): number => {
  const times = Array.from({ length: runs }, () => {
    const from = performance.now();
    job();
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return times[Math.floor(runs / 2)]!;
};

const readings = [];
for (let t = START; t < START + DAYS * DAY_MS; t += HOUR_MS) {
  const r = loggerReading(4, t);
  if (r) readings.push({ ...r, atMs: t });
}
const hours = hoursOf(readings);
const recipes = Array.from({ length: FILMS }, (_, i) => ({
  mix: [0, 1].map((k) => ({
    parts: 1,
    pigment: PIGMENT_ROWS[(7 * i + 11 * k) % PIGMENT_ROWS.length]!.key,
    binder: 'linseed' as const,
  })),
  medium:
    i % 3 === 0
      ? []
      : [
          {
            ingredient: i % 3 === 1 ? ('stand-oil' as const) : ('alkyd-medium' as const),
            parts: 1,
          },
        ],
  mediumShare: i % 3 === 0 ? 0 : 0.2,
  thicknessUm: 15 + (i % 80),
}));

function forecast(): void {
  const air = followedAir(H.constants, {
    climate: REFERENCE_CLIMATE,
    dayNight: null,
    hours,
    utcOffsetHours: 0,
  });
  recipes.forEach((recipe, i) => {
    const laidAtMs = START + ((i * DAYS) / FILMS) * DAY_MS;
    const clock = air.clock('oil', laidAtMs, i % 2 === 0 ? laidAtMs + 5 * DAY_MS : null);
    const times = dryingTimes(
      H,
      filmOfRecipe(H, recipe),
      recipe.thicknessUm,
      ON_NEUTRAL_GROUND,
      (dose) => {
        const toMs = clock.timeOf(dose)!;
        return {
          climate: air.meanBetween(laidAtMs, toMs),
          weatherSigma: air.weatherSigma(laidAtMs, toMs),
        };
      },
    );
    dryingWindows(H.constants, times, clock);
    finishWindows(H.constants, times, clock, 'recoat');
  });
}

const paints = PIGMENT_ROWS.slice(0, 46);
const evidence: FilmEvidence[] = Array.from({ length: 250 }, (_, i) => {
  const recipe = {
    mix: [0, 1].map(() => ({
      parts: 1,
      pigment: paints[Math.floor(random() * paints.length)]!.key,
      binder: 'linseed' as const,
    })),
    medium:
      i % 3 === 0
        ? []
        : [
            {
              ingredient: i % 3 === 1 ? ('stand-oil' as const) : ('alkyd-medium' as const),
              parts: 1,
            },
          ],
    mediumShare: i % 3 === 0 ? 0 : 0.2,
    thicknessUm: 15 + 80 * random(),
  };
  const film = filmOfRecipe(H, recipe);
  const times = dryingTimes(H, film, recipe.thicknessUm, ON_NEUTRAL_GROUND, REFERENCE_CLIMATE);
  return {
    id: `f${i}`,
    laidAtMs: START + i * 0.4 * DAY_MS,
    touch: times.touch,
    through: times.through,
    features: featuresOf(H.constants, film, recipe.thicknessUm, ON_NEUTRAL_GROUND, {
      ...REFERENCE_CLIMATE,
      temperatureC: 15 + 8 * random(),
    }),
    tests: [0.6, 1.1].map((at, j) => ({
      id: `t${i}-${j}`,
      atMs: 0,
      dose: times.touch.median * at * 1.3 * (0.7 + 0.6 * random()),
      finding: FINDINGS[1 + Math.min(4, 2 * j + Math.floor(2.4 * random()))]!,
      twistMarks: false,
    })),
  };
});

forecast();
const forecastMs = median(15, forecast);
console.log(
  `forecast of ${FILMS} laid coats over ${DAYS} days of hourly climate: ${forecastMs.toFixed(1)} ms = ${(forecastMs / LIMIT_FORECAST_MS).toFixed(2)} of the limit of ${LIMIT_FORECAST_MS} ms`,
);
const factors = learn(evidence).learned.factors.length;
const learnMs = median(7, () => learn(evidence));
console.log(
  `posterior of ${evidence.length * 2} tests, ${factors} factors: ${learnMs.toFixed(0)} ms = ${(learnMs / LIMIT_LEARN_MS).toFixed(2)} of the limit of ${LIMIT_LEARN_MS} ms`,
);
if (forecastMs > LIMIT_FORECAST_MS || learnMs > LIMIT_LEARN_MS) process.exitCode = 1;
