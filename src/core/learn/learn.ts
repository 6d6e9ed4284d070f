import { COAT_SD_GRID, LEARNING as L } from '@/data/learning';
import { TOLD } from '../drying';
import type { FilmEvidence } from './evidence';
import { chancesOf, fitAll, PRIOR_COAT_VARIANCE, siteSd } from './fit';
import type { Learned } from './learned';
import { answerChance, filmLogLikelihood, STUDIO_NOISE } from './likelihood';
import { problemOf, type Problem, type Site } from './problem';

/** The posterior over all spreads of a coat, put together. */
interface Combined {
  mean: Float64Array;
  /** Row by row. */
  covariance: Float64Array;
  coatVariance: number;
}

function combine(problem: Problem): Combined {
  const fits = fitAll(problem);
  const chances = chancesOf(fits);
  const n = problem.factors.length;
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
    coatVariance: COAT_SD_GRID.reduce((s, sd, i) => s + chances[i]! * sd * sd, 0),
  };
}

/** What everything but the tests of a site says of it: mean of the logarithm of its dose, and variance of the factors. */
export interface Cavity {
  mean: number;
  variance: number;
  /** Variance of the coat itself. */
  own: number;
}

const out = new Float64Array(3);
const LEAST_PRECISION = 1e-6;

/** The posterior with the site's own tests taken out again, in the Gaussian approximation at the mode. */
function cavityOf(site: Site, { mean, covariance, coatVariance }: Combined): Cavity {
  let eta = 0;
  let variance = 0;
  const { factor, loading } = site;
  for (let a = 0; a < factor.length; a++) {
    eta += loading[a]! * mean[factor[a]!]!;
    for (let b = 0; b < factor.length; b++)
      variance += loading[a]! * loading[b]! * covariance[factor[a]! * mean.length + factor[b]!]!;
  }
  const coatSd = Math.sqrt(coatVariance);
  const sd = siteSd(site, coatSd);
  filmLogLikelihood(site.tests, site.tables + eta, sd, STUDIO_NOISE, out);
  // A site that curves the wrong way (a misread test far out) is not taken out: it was not put in.
  const w = Math.max(0, -out[2]!);
  const precision = Math.max(1 / variance - w, LEAST_PRECISION);
  const without = (eta / variance - (w * eta + (w > 0 ? out[1]! : 0))) / precision;
  return { mean: site.tables + without, variance: 1 / precision, own: sd * sd };
}

const GRID_POINTS = 101;
const GRID_REACH = 4.5;
const GRID = Float64Array.from(
  { length: GRID_POINTS },
  (_, i) => -GRID_REACH + (2 * GRID_REACH * i) / (GRID_POINTS - 1),
);
const BELL = GRID.map((u) => Math.exp(-0.5 * u * u));

/** What the tests of a film make of a normal forecast of the logarithm of its dose. */
interface WithTests {
  quantiles: number[];
  /** Chance that each test was misread, given everything else. */
  misread: number[];
}

function withTests(site: Site, mean: number, sd: number): WithTests {
  const { tests } = site;
  const mass = Float64Array.from(BELL);
  const chances = tests.map((t) =>
    GRID.map((u, i) => {
      const chance = answerChance(t, mean + u * sd, STUDIO_NOISE);
      mass[i]! *= chance;
      return chance;
    }),
  );
  const total = mass.reduce((s, m) => s + m, 0);
  const misread = tests.map((t, j) => {
    let wrong = 0;
    for (let i = 0; i < GRID_POINTS; i++) wrong += (mass[i]! * t.floor) / chances[j]![i]!;
    return wrong / total;
  });
  const step = sd * (GRID[1]! - GRID[0]!);
  const quantiles: number[] = [];
  let sum = 0;
  for (let i = 0; i < GRID_POINTS && quantiles.length < TOLD.length; i++) {
    const share = mass[i]! / total;
    while (quantiles.length < TOLD.length && sum + share >= TOLD[quantiles.length]!) {
      const part = (TOLD[quantiles.length]! - sum) / share;
      quantiles.push(mean + sd * GRID[i]! + step * (part - 0.5));
    }
    sum += share;
  }
  return { quantiles, misread };
}

/** How well forecasts without the film's own tests foretold them, as a function of how wide they were. */
const WIDENINGS = Array.from({ length: L.widenSteps }, (_, i) => 1 + i * L.widenStep);

const STRICT_NOISE = { ...STUDIO_NOISE, eps: STUDIO_NOISE.eps * L.misreadExcuse };

/** The widening that would have made the past forecasts most likely. */
function wideningOf(sites: { site: Site; cavity: Cavity }[]): number {
  const score = (widen: number): number => {
    const prior = -0.5 * (Math.log(widen) / L.widenSpread) ** 2;
    return sites.reduce((s, { site, cavity }) => {
      const sd = widen * Math.sqrt(cavity.variance + cavity.own);
      return (
        s +
        site.tests.reduce((sum, test) => {
          const strict = { ...test, floor: test.floor * L.misreadExcuse };
          filmLogLikelihood([strict], cavity.mean, sd, STRICT_NOISE, out);
          return sum + out[0]! / site.tests.length;
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
  const problem = problemOf(evidence, PRIOR_COAT_VARIANCE);
  const tests = new Set(problem.sites.flatMap((s) => s.testIds)).size;
  if (tests === 0) return { learned: NOTHING_LEARNED, conflicts: [] };
  const combined = combine(problem);
  const sites = problem.sites.map((site) => ({ site, cavity: cavityOf(site, combined) }));
  const widen = wideningOf(sites);
  const films: Learned['films'] = {};
  const conflicts: Conflict[] = [];
  for (const { site, cavity } of sites) {
    const filmId = evidence[site.film]!.id;
    const film = (films[filmId] ??= { touch: null, through: null });
    const sd = widen * Math.sqrt(cavity.variance + cavity.own);
    const { quantiles, misread: chances } = withTests(site, cavity.mean, sd);
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
      drift: problem.drift,
      films,
    },
    conflicts,
  };
}
