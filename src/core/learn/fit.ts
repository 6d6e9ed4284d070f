import { choleskyFactor, choleskyInverse, choleskySolve, logDeterminant } from './cholesky';
import { COAT_SD_GRID, LEARNING as L } from '@/data/learning';
import { filmLogLikelihood, STUDIO_NOISE, type Noise } from './likelihood';
import type { Problem, Site } from './problem';

/** The posterior of the factors for one spread of a single coat. */
export interface Fit {
  coatSd: number;
  mean: Float64Array;
  /** Row by row. */
  covariance: Float64Array;
  /** Logarithm of the evidence, prior of the spread included. */
  weight: number;
}

/** What a site says at the mode: its mean, score, curvature and the spread of its coat. */
export const siteSd = (site: Site, coatSd: number): number =>
  Math.sqrt((site.stage === 'touch' ? coatSd ** 2 : 0) + site.extra);

const siteMean = (site: Site, theta: Float64Array): number => {
  let eta = site.tables;
  for (let k = 0; k < site.factor.length; k++) eta += site.loading[k]! * theta[site.factor[k]!]!;
  return eta;
};

const out = new Float64Array(3);

const FLATTEST = 1e-6;
const MOST_STEPS = 60;
const MOST_HALVINGS = 25;
/** A gain of log posterior that is nothing beside the 1/2 that one standard deviation costs. */
const SMALL_GAIN = 3e-3;

interface Curved {
  value: number;
  gradient: Float64Array;
  /** Z' diag(w) Z + the prior's precision, with w kept above nothing so that every step climbs. */
  precision: Float64Array;
}

/**
 * Height, slope and curvature of the log posterior at a point.
 * @param kept least curvature of a site; -Infinity for the true one, which need not be positive definite
 */
function curvature(
  { sites, priorSd }: Problem,
  theta: Float64Array,
  coatSd: number,
  noise: Noise,
  kept = FLATTEST,
): Curved {
  const n = theta.length;
  const lower = new Float64Array(n * n);
  const gradient = new Float64Array(n);
  let value = 0;
  for (const site of sites) {
    filmLogLikelihood(site.tests, siteMean(site, theta), siteSd(site, coatSd), noise, out);
    value += out[0]!;
    const score = out[1]!;
    const w = Math.max(-out[2]!, kept);
    const { factor, loading } = site;
    for (let a = 0; a < factor.length; a++) {
      const i = factor[a]!;
      const wz = w * loading[a]!;
      gradient[i]! += loading[a]! * score;
      const row = i * n;
      for (let b = 0; b <= a; b++) lower[row + factor[b]!]! += wz * loading[b]!;
    }
  }
  for (let i = 0; i < n; i++) {
    const own = priorSd[i]! ** -2;
    value -= 0.5 * own * theta[i]! ** 2;
    gradient[i]! -= own * theta[i]!;
    lower[i * n + i]! += own;
  }
  return { value, gradient, precision: lower };
}

/**
 * Newton's method with backtracking to the mode of the posterior. Changes `theta` in place; gives its height.
 * A step that does not climb is halved; one that never does ends the search.
 */
export function climb(
  problem: Problem,
  theta: Float64Array,
  coatSd: number,
  noise: Noise,
  smallGain: number,
): Curved {
  let here = curvature(problem, theta, coatSd, noise);
  for (let step = 0; step < MOST_STEPS; step++) {
    const factor = choleskyFactor(here.precision, theta.length);
    if (!factor) return here;
    const direction = choleskySolve(factor, theta.length, here.gradient);
    let by = 1;
    let next: Curved | null = null;
    for (let halving = 0; halving < MOST_HALVINGS; halving++) {
      const point = theta.map((t, k) => t + by * direction[k]!);
      const there = curvature(problem, point, coatSd, noise);
      if (there.value > here.value) {
        theta.set(point);
        next = there;
        break;
      }
      by /= 2;
    }
    if (!next) return here;
    const gain = next.value - here.value;
    here = next;
    if (gain < smallGain) return here;
  }
  return here;
}

function finish(
  problem: Problem,
  mean: Float64Array,
  coatSd: number,
  noise: Noise,
  here: Curved,
): Fit {
  const { precision } = curvature(problem, mean, coatSd, noise, -Infinity);
  const n = mean.length;
  const factor = choleskyFactor(precision, n) ?? choleskyFactor(here.precision, n)!;
  const priorLogs = problem.priorSd.reduce((s, sd) => s + Math.log(sd), 0);
  const spread = Math.log(coatSd / L.coatSd) / L.coatSdSpread;
  return {
    coatSd,
    mean: Float64Array.from(mean),
    covariance: choleskyInverse(factor, n),
    weight: here.value - 0.5 * logDeterminant(factor, n) - priorLogs - 0.5 * spread ** 2,
  };
}

/** The reading noise to begin with: the likelihood is smooth there, and has one top. */
const SMOOTH_NOISE = 0.3;

/**
 * Posterior of the factors for each spread of the grid, by Laplace's method. The usual spread is climbed first, and
 * the others from the top of their neighbour, which is near theirs.
 */
export function fitAll(problem: Problem, noise: Noise = STUDIO_NOISE): Fit[] {
  const first = new Float64Array(problem.factors.length);
  climb(problem, first, L.coatSd, { ...noise, r: SMOOTH_NOISE }, 100 * SMALL_GAIN);
  const from = (start: Float64Array, coatSd: number): Fit => {
    const theta = Float64Array.from(start);
    const top = climb(problem, theta, coatSd, noise, SMALL_GAIN);
    return finish(problem, theta, coatSd, noise, top);
  };
  const [narrow, usual, wide, widest] = COAT_SD_GRID;
  const atUsual = from(first, usual);
  const atWide = from(atUsual.mean, wide);
  return [from(atUsual.mean, narrow), atUsual, atWide, from(atWide.mean, widest)];
}

/** Chances of the fits: their evidence, made to sum to 1. */
export function chancesOf(fits: Pick<Fit, 'weight'>[]): number[] {
  const top = Math.max(...fits.map((f) => f.weight));
  const raw = fits.map((f) => Math.exp(f.weight - top));
  const total = raw.reduce((s, x) => s + x, 0);
  return raw.map((x) => x / total);
}

/** Mean square of the spread of a single coat before any test. */
export const PRIOR_COAT_VARIANCE: number = (() => {
  const weights = chancesOf(
    COAT_SD_GRID.map((sd) => ({ weight: -0.5 * (Math.log(sd / L.coatSd) / L.coatSdSpread) ** 2 })),
  );
  return COAT_SD_GRID.reduce((s, sd, i) => s + weights[i]! * sd * sd, 0);
})();
