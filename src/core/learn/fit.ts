import { choleskyFactor, choleskyInverse, choleskySolve, logDeterminant } from './cholesky';
import { COAT_SD_GRID, LEARNING as L, WANDER_GRID } from '@/data/learning';
import { filmLogLikelihood, STUDIO_NOISE, type Noise } from './likelihood';
import type { Problem, Site } from './problem';

/** The posterior of the factors for one spread of a single coat. */
export interface Fit {
  coatSd: number;
  /** How much more readily the studio wanders than usual. */
  wander: number;
  /** Prior of the factors in this fit. */
  priorSd: Float64Array;
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
const SMALL_GAIN = 1e-3;

interface Curved {
  value: number;
  gradient: Float64Array;
  /** Z' diag(w) Z + the prior's precision, with w kept above nothing so that every step climbs. */
  precision: Float64Array;
  /** Sites whose w was kept so, and by how much: the true precision, which need not be positive definite, is less. */
  kept: { site: Site; by: number }[];
}

/** Height, slope and curvature of the log posterior at a point. */
function curvature(
  { sites, priorSd }: Problem,
  theta: Float64Array,
  coatSd: number,
  noise: Noise,
): Curved {
  const n = theta.length;
  const lower = new Float64Array(n * n);
  const gradient = new Float64Array(n);
  const kept: Curved['kept'] = [];
  let value = 0;
  for (const site of sites) {
    filmLogLikelihood(site.tests, siteMean(site, theta), siteSd(site, coatSd), noise, out);
    value += out[0]!;
    const score = out[1]!;
    const w = Math.max(-out[2]!, FLATTEST);
    if (w > -out[2]!) kept.push({ site, by: w + out[2]! });
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
  return { value, gradient, precision: lower, kept };
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
    // What a whole step promises to gain. Near the top no step climbs by more than rounding, and none need be tried.
    const promised = 0.5 * direction.reduce((s, x, k) => s + x * here.gradient[k]!, 0);
    if (promised < smallGain) return here;
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
    here = next;
  }
  return here;
}

/** The precision as it is, without what was kept above nothing. */
function truePrecision({ precision, kept }: Curved, n: number): Float64Array {
  if (kept.length === 0) return precision;
  const lower = Float64Array.from(precision);
  for (const { site, by } of kept)
    for (let a = 0; a < site.factor.length; a++)
      for (let b = 0; b <= a; b++)
        lower[site.factor[a]! * n + site.factor[b]!]! -= by * site.loading[a]! * site.loading[b]!;
  return lower;
}

const sumOfLogs = (values: Float64Array): number => values.reduce((s, x) => s + Math.log(x), 0);

function finish(
  problem: Problem,
  mean: Float64Array,
  coatSd: number,
  here: Curved,
  wander: Wander,
): Fit {
  const n = mean.length;
  const factor = choleskyFactor(truePrecision(here, n), n) ?? choleskyFactor(here.precision, n)!;
  const priorLogs = sumOfLogs(problem.priorSd);
  const spread = Math.log(coatSd / L.coatSd) / L.coatSdSpread;
  return {
    coatSd,
    mean: Float64Array.from(mean),
    covariance: choleskyInverse(factor, n),
    wander: wander.scale,
    priorSd: problem.priorSd,
    weight:
      here.value -
      0.5 * logDeterminant(factor, n) -
      priorLogs -
      0.5 * spread ** 2 +
      Math.log(wander.chance),
  };
}

type Wander = (typeof WANDER_GRID)[number];
const [STEADY, ...RESTLESS] = WANDER_GRID;

/** The prior of the factors in a studio that wanders more readily. */
const wandering = ({ priorSd, factors }: Problem, { scale }: Wander): Float64Array =>
  priorSd.map((sd, i) => (factors[i]!.startsWith('drift:') ? sd * scale : sd));

/**
 * The fit of a studio that wanders more readily, from that of a steady one: by a normal the likelihood is as good as
 * known near the top, so only the prior is put in the place of the other.
 */
function restlessFrom(problem: Problem, steady: Fit, wander: Wander): Fit {
  const n = steady.mean.length;
  const priorSd = wandering(problem, wander);
  const unlikely = { ...steady, wander: wander.scale, weight: -Infinity };
  const before = choleskyFactor(steady.covariance, n);
  if (!before) return unlikely;
  const precision = choleskyInverse(before, n);
  // What the tests say by themselves: precision times mean, for the prior's mean is nothing.
  const said = new Float64Array(n);
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) said[i]! += precision[i * n + j]! * steady.mean[j]!;
  for (let i = 0; i < n; i++) precision[i * n + i]! += priorSd[i]! ** -2 - steady.priorSd[i]! ** -2;
  const factor = choleskyFactor(precision, n);
  if (!factor) return unlikely;
  const mean = choleskySolve(factor, n, said);
  const gain = said.reduce((s, x, k) => s + 0.5 * x * (mean[k]! - steady.mean[k]!), 0);
  return {
    coatSd: steady.coatSd,
    wander: wander.scale,
    priorSd,
    mean,
    covariance: choleskyInverse(factor, n),
    weight:
      steady.weight +
      gain -
      0.5 * (logDeterminant(factor, n) + logDeterminant(before, n)) -
      (sumOfLogs(priorSd) - sumOfLogs(steady.priorSd)) +
      Math.log(wander.chance / STEADY.chance),
  };
}

/** The reading noise to begin with: the likelihood is smooth there, and has one top. */
const SMOOTH_NOISE = 0.3;

/**
 * Posterior of the factors for each spread of the grid, by Laplace's method. The usual spread is climbed first, and
 * the others from the top of their neighbour, which is near theirs. Where time has passed, a studio that changes its
 * pace more than usual is asked as well; the tests say how likely that is.
 */
export function fitAll(problem: Problem, noise: Noise = STUDIO_NOISE): Fit[] {
  const first = new Float64Array(problem.factors.length);
  climb(problem, first, L.coatSd, { ...noise, r: SMOOTH_NOISE }, 100 * SMALL_GAIN);
  const from = (start: Float64Array, coatSd: number, wander: Wander = STEADY): Fit => {
    const theta = Float64Array.from(start);
    const of = wander === STEADY ? problem : { ...problem, priorSd: wandering(problem, wander) };
    const top = climb(of, theta, coatSd, noise, SMALL_GAIN);
    return finish(of, theta, coatSd, top, wander);
  };
  const [narrow, usual, wide, widest] = COAT_SD_GRID;
  const atUsual = from(first, usual);
  const atWide = from(atUsual.mean, wide);
  const steady = [from(atUsual.mean, narrow), atUsual, atWide, from(atWide.mean, widest)];
  if (problem.drift.steps === 0) return steady;
  const likeliest = steady.reduce((a, b) => (b.weight > a.weight ? b : a));
  const restless = RESTLESS.map((wander) => restlessFrom(problem, likeliest, wander));
  const chances = chancesOf([...steady, ...restless]).slice(steady.length);
  // What may well be so is climbed to in earnest.
  return [
    ...steady,
    ...restless.map((fit, k) =>
      chances[k]! > L.climbFrom ? from(fit.mean, fit.coatSd, RESTLESS[k]!) : fit,
    ),
  ];
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
