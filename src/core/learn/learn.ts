import { LEARNING as L } from '@/data/learning';
import { cavityOf } from './cavity';
import type { FilmEvidence } from './evidence';
import { chancesOf, fitAll, PRIOR_COAT_VARIANCE, type Fit } from './fit';
import type { Learned } from './learned';
import { withTests } from './own-tests';
import { problemOf, type Problem, type Site } from './problem';
import { wideningOf } from './widening';

/** Fits that are likely enough to change a figure that is told. */
function worthKeeping(fits: Fit[]): Fit[] {
  const chances = chancesOf(fits);
  return fits.filter((_, i) => chances[i]! >= L.leastFit);
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
