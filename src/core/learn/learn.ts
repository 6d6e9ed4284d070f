import { LEARNING as L } from '@/data/learning';
import { DAY_MS, TOLD } from '../drying';
import type { FilmEvidence } from './evidence';
import { chancesOf, fitAll, PRIOR_COAT_VARIANCE, siteSd, type Fit } from './fit';
import type { Learned } from './learned';
import { answerChance, filmLogLikelihood, STUDIO_NOISE, type IntervalTest } from './likelihood';
import { problemOf, type Problem, type Site } from './problem';

/** A fit less likely than this changes no figure that is told. */
const LEAST_CHANCE = 0.01;
function worthKeeping(fits: Fit[]): Fit[] {
  const chances = chancesOf(fits);
  return fits.filter((_, i) => chances[i]! >= LEAST_CHANCE);
}

/** The posterior over all spreads of a coat, put together. */
interface Combined {
  mean: Float64Array;
  /** Row by row. */
  covariance: Float64Array;
  coatVariance: number;
  /** Factor on the usual wandering of the studio. */
  wander: number;
}

function combine({ factors }: Problem, fits: Fit[], chances: number[]): Combined {
  const n = factors.length;
  const mean = new Float64Array(n);
  fits.forEach((fit, i) => fit.mean.forEach((t, k) => (mean[k]! += chances[i]! * t)));
  const covariance = new Float64Array(n * n);
  fits.forEach((fit, f) => {
    for (let i = 0; i < n; i++) {
      const off = fit.mean[i]! - mean[i]!;
      for (let j = 0; j < n; j++)
        covariance[i * n + j]! +=
          chances[f]! * (fit.covariance[i * n + j]! + off * (fit.mean[j]! - mean[j]!));
    }
  });
  return {
    mean,
    covariance,
    coatVariance: fits.reduce((s, fit, i) => s + chances[i]! * fit.coatSd ** 2, 0),
    wander: Math.sqrt(fits.reduce((s, fit, i) => s + chances[i]! * fit.wander ** 2, 0)),
  };
}

/** What everything but its own tests says of the logarithm of a film's dose: a normal for each spread of a coat. */
export interface Cavity {
  mean: number;
  /** Of the factors and of the coat itself. */
  variance: number;
  chance: number;
}

const out = new Float64Array(3);

/**
 * The posterior with the site's own tests taken out again, in the Gaussian approximation at the mode: for each spread
 * of a coat by itself, for only there is the posterior the normal that its tests were put into. Out of the mixture over
 * all spreads more may be taken than ever was in it, and what is left has no end. Never less is known than before any
 * test.
 */
function cavityOf(site: Site, fits: Fit[], chances: number[]): Cavity[] {
  const { factor, loading } = site;
  const found = fits.map((fit, f): Cavity => {
    let eta = 0;
    let variance = 0;
    let prior = 0;
    for (let a = 0; a < factor.length; a++) {
      eta += loading[a]! * fit.mean[factor[a]!]!;
      prior += (loading[a]! * fit.priorSd[factor[a]!]!) ** 2;
      for (let b = 0; b < factor.length; b++)
        variance +=
          loading[a]! * loading[b]! * fit.covariance[factor[a]! * fit.mean.length + factor[b]!]!;
    }
    const sd = siteSd(site, fit.coatSd);
    filmLogLikelihood(site.tests, site.tables + eta, sd, STUDIO_NOISE, out);
    const precision = Math.max(1 / variance + out[2]!, 1 / prior);
    const mean = site.tables + eta - out[1]! / precision;
    const whole = 1 / precision + sd * sd;
    // How likely this spread was without the site: its evidence had the site's tests in it.
    filmLogLikelihood(site.tests, mean, Math.sqrt(whole), STUDIO_NOISE, out);
    return { mean, variance: whole, chance: chances[f]! / Math.exp(out[0]!) };
  });
  const total = found.reduce((s, c) => s + c.chance, 0);
  return found.map((c) => ({ ...c, chance: c.chance / total }));
}

/** The normal that has the mean and the spread of them all. */
function asOne(cavity: Cavity[]): { mean: number; sd: number } {
  const mean = cavity.reduce((s, c) => s + c.chance * c.mean, 0);
  const variance = cavity.reduce((s, c) => s + c.chance * (c.variance + (c.mean - mean) ** 2), 0);
  return { mean, sd: Math.sqrt(variance) };
}

const GRID_POINTS = 161;
const GRID_REACH = 4.5;

/** What the tests of a film make of the forecast of the logarithm of its dose. */
interface WithTests {
  quantiles: number[];
  /** Chance that each test was misread, given everything else. */
  misread: number[];
}

/** Whether a finding was made before the stage it speaks of, or after it. */
const isBefore = ({ high }: IntervalTest): boolean => high <= 0;
/** The least that paint of the last finding asks of its own dose: what still blends was not past open either. */
const leastDose = ({ d, high, blends }: IntervalTest): number => (blends ? d - high : d);

function withTests({ tests, last }: Site, cavity: Cavity[], widen: number): WithTests {
  const parts = cavity.map(({ mean, variance, chance }) => {
    const sd = widen * Math.sqrt(variance);
    return { mean, sd, height: chance / sd };
  });
  const seen = tests[last]!;
  const reach = GRID_REACH * Math.max(...parts.map((p) => p.sd));
  const from = Math.min(seen.d, ...parts.map((p) => p.mean)) - reach;
  const to = Math.max(leastDose(seen), ...parts.map((p) => p.mean)) + reach;
  const step = (to - from) / (GRID_POINTS - 1);
  const grid = new Float64Array(GRID_POINTS);
  for (let i = 0; i < GRID_POINTS; i++) grid[i] = from + i * step;
  const mass = new Float64Array(GRID_POINTS);
  for (const { mean, sd, height } of parts) {
    // A normal on an even grid: each point is the one before times a factor that itself shrinks evenly.
    const u = (from - mean) / sd;
    const v = step / sd;
    let value = height * Math.exp(-0.5 * u * u);
    let factor = Math.exp(-v * (u + 0.5 * v));
    const shrinks = Math.exp(-v * v);
    if (value === 0 || !Number.isFinite(factor)) {
      for (let i = 0; i < GRID_POINTS; i++) mass[i]! += height * Math.exp(-0.5 * (u + i * v) ** 2);
      continue;
    }
    for (let i = 0; i < GRID_POINTS; i++) {
      mass[i]! += value;
      value *= factor;
      factor *= shrinks;
    }
  }
  const chances = tests.map((t) =>
    grid.map((y, i) => {
      const chance = answerChance(t, y, STUDIO_NOISE);
      mass[i]! *= chance;
      return chance;
    }),
  );
  const total = mass.reduce((s, m) => s + m, 0);
  // What was seen last is so: paint that was tacky then was not dry before, whatever else is known of it.
  const seenMass = mass.map((m, i) =>
    (isBefore(seen) ? grid[i]! - step / 2 >= leastDose(seen) : grid[i]! + step / 2 <= seen.d)
      ? m
      : 0,
  );
  const seenTotal = seenMass.reduce((s, m) => s + m, 0);
  const misread = tests.map((t, j) => {
    let wrong = 0;
    for (let i = 0; i < GRID_POINTS; i++) wrong += (mass[i]! * t.floor) / chances[j]![i]!;
    return wrong / total;
  });
  const quantiles: number[] = [];
  let sum = 0;
  for (let i = 0; i < GRID_POINTS && quantiles.length < TOLD.length; i++) {
    const share = seenMass[i]! / seenTotal;
    while (quantiles.length < TOLD.length && sum + share >= TOLD[quantiles.length]!) {
      const part = (TOLD[quantiles.length]! - sum) / share;
      quantiles.push(grid[i]! + step * (part - 0.5));
    }
    sum += share;
  }
  return { quantiles, misread };
}

/** How well forecasts without the film's own tests foretold them, as a function of how wide they were. */
const WIDENINGS = Array.from({ length: L.widenSteps }, (_, i) => 1 + i * L.widenStep);

const STRICT_NOISE = { ...STUDIO_NOISE, eps: STUDIO_NOISE.eps * L.misreadExcuse };

/** The widening that would have made the past forecasts most likely, the late ones above all. */
function wideningOf(sites: { site: Site; cavity: Cavity[] }[]): number {
  const latest = Math.max(...sites.flatMap(({ site }) => site.testedAt));
  const forecasts = sites.map(({ site, cavity }) => ({
    site,
    weights: site.testedAt.map(
      (at) => 0.5 ** ((latest - at) / (L.scoreHalfLifeDays * DAY_MS)) / site.tests.length,
    ),
    ...asOne(cavity),
  }));
  const score = (widen: number): number => {
    const prior = -0.5 * (Math.log(widen) / L.widenSpread) ** 2;
    return forecasts.reduce((s, { site, weights, mean, sd }) => {
      return (
        s +
        site.tests.reduce((sum, test, j) => {
          const strict = { ...test, floor: test.floor * L.misreadExcuse };
          filmLogLikelihood([strict], mean, widen * sd, STRICT_NOISE, out);
          return sum + weights[j]! * out[0]!;
        }, 0)
      );
    }, prior);
  };
  const scores = WIDENINGS.map(score);
  return WIDENINGS[scores.indexOf(Math.max(...scores))]!;
}

/** A test that the rest of what is known makes unlikely. */
export interface Conflict {
  testId: string;
  filmId: string;
  stage: Site['stage'];
  /** Chance that it was misread, or that the film is unlike its recipe. */
  misread: number;
}

export interface Learning {
  learned: Learned;
  conflicts: Conflict[];
}

/** Nothing learned: the tables as they are. */
export const NOTHING_LEARNED: Learned = {
  tests: 0,
  factors: [],
  mean: [],
  covariance: [],
  coatVariance: PRIOR_COAT_VARIANCE,
  coatVariancePrior: PRIOR_COAT_VARIANCE,
  widen: 1,
  drift: { fromMs: 0, stretchMs: 1, steps: 0, sd: 0 },
  films: {},
};

/**
 * Learn from touch tests how this studio, its paints and its mediums dry: a hierarchical log-normal model on the
 * dose, with interval-censored tests and misread ones among them; docs/method.md, "Learning". Pure, and the same
 * for the same evidence.
 */
export function learn(evidence: FilmEvidence[]): Learning {
  const problem = problemOf(evidence);
  const tests = new Set(problem.sites.flatMap((s) => s.testIds)).size;
  if (tests === 0) return { learned: NOTHING_LEARNED, conflicts: [] };
  const fits = worthKeeping(fitAll(problem));
  const spreads = chancesOf(fits);
  const combined = combine(problem, fits, spreads);
  const sites = problem.sites.map((site) => ({
    site,
    cavity: cavityOf(site, fits, spreads),
  }));
  const widen = wideningOf(sites);
  const films: Learned['films'] = {};
  const conflicts: Conflict[] = [];
  for (const { site, cavity } of sites) {
    const filmId = evidence[site.film]!.id;
    const film = (films[filmId] ??= { touch: null, through: null });
    const { quantiles, misread: chances } = withTests(site, cavity, widen);
    film[site.stage] = quantiles;
    chances.forEach((misread, j) => {
      if (misread > L.conflictFrom)
        conflicts.push({ testId: site.testIds[j]!, filmId, stage: site.stage, misread });
    });
  }
  return {
    learned: {
      tests,
      factors: problem.factors,
      mean: Array.from(combined.mean),
      covariance: problem.factors.map((_, i) =>
        Array.from(
          combined.covariance.subarray(
            i * problem.factors.length,
            (i + 1) * problem.factors.length,
          ),
        ),
      ),
      coatVariance: combined.coatVariance,
      coatVariancePrior: PRIOR_COAT_VARIANCE,
      widen,
      drift: { ...problem.drift, sd: problem.drift.sd * combined.wander },
      films,
    },
    conflicts,
  };
}
