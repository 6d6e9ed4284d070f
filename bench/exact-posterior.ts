/**
 * What touch tests teach, by importance sampling from the posterior that the learning approximates: the same model
 * without Laplace's method and without the defences against studios that break it. Only to compare scores with.
 */
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import type { LogNormal } from '../src/core/drying';
import { normalCdf } from '../src/core/drying/lognormal';
import { choleskyFactor, logDeterminant } from '../src/core/learn/cholesky';
import { driftFeatures } from '../src/core/learn/drift';
import type { FilmEvidence } from '../src/core/learn/evidence';
import { priorSd, priorVariance, type Features } from '../src/core/learn/features';
import { chancesOf, fitAll, PRIOR_COAT_VARIANCE, siteSd } from '../src/core/learn/fit';
import { filmLogLikelihood, STUDIO_NOISE } from '../src/core/learn/likelihood';
import { problemOf } from '../src/core/learn/problem';
import { LEARNING as L } from '../src/data/learning';

const DRAWS = 3000;
const SEED = 7;

interface Draw {
  theta: Float64Array;
  coatSd: number;
  weight: number;
}

/** A forecast as a function from chances to the logarithm of the dose. */
export type ExactForecast = (
  tables: LogNormal,
  features: Features,
  laidAtMs: number,
) => (p: number) => number;

/** Draws from the fits of the steady studio, weighed by how much likelier the posterior is there than they are. */
export function exactPosterior(evidence: FilmEvidence[]): ExactForecast {
  const problem = problemOf(evidence);
  const fits = fitAll(problem).filter((fit) => fit.wander === 1);
  const chances = chancesOf(fits);
  const n = problem.factors.length;
  const rng = xoroshiro128plus(SEED);
  const uniform = (): number => uniformFloat64(rng);
  const normal = (): number =>
    Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  const roots = fits.map((fit) => choleskyFactor(fit.covariance, n)!);
  const out = new Float64Array(3);
  const draws: Draw[] = [];
  const logs: number[] = [];
  for (let d = 0; d < DRAWS; d++) {
    let u = uniform();
    let f = 0;
    while (f < fits.length - 1 && u > chances[f]!) u -= chances[f++]!;
    const fit = fits[f]!;
    const root = roots[f]!;
    const z = Float64Array.from({ length: n }, normal);
    const theta = fit.mean.map((m, i) => {
      let value = m;
      for (let k = 0; k <= i; k++) value += root[i * n + k]! * z[k]!;
      return value;
    });
    let log = -0.5 * (Math.log(fit.coatSd / L.coatSd) / L.coatSdSpread) ** 2;
    for (let i = 0; i < n; i++)
      log -= 0.5 * (theta[i]! / problem.priorSd[i]!) ** 2 + Math.log(problem.priorSd[i]!);
    for (const site of problem.sites) {
      let eta = site.tables;
      for (let k = 0; k < site.factor.length; k++)
        eta += site.loading[k]! * theta[site.factor[k]!]!;
      filmLogLikelihood(site.tests, eta, siteSd(site, fit.coatSd), STUDIO_NOISE, out);
      log += out[0]!;
    }
    const proposal =
      Math.log(chances[f]!) -
      0.5 * logDeterminant(root, n) -
      0.5 * z.reduce((sum, x) => sum + x * x, 0);
    draws.push({ theta, coatSd: fit.coatSd, weight: 0 });
    logs.push(log - proposal);
  }
  const top = Math.max(...logs);
  const total = logs.reduce((sum, log) => sum + Math.exp(log - top), 0);
  draws.forEach((draw, d) => (draw.weight = Math.exp(logs[d]! - top) / total));
  const place = new Map(problem.factors.map((key, i) => [key, i]));

  return (tables, features, laidAtMs) => {
    const { features: wander, beyond } = driftFeatures(problem.drift, laidAtMs);
    const all = Object.entries({ ...features, ...wander });
    const untested = all.reduce(
      (sum, [key, z]) => (place.has(key) ? sum : sum + (z * priorSd(key)) ** 2),
      beyond * problem.drift.sd ** 2,
    );
    const parts = draws.map(({ theta, coatSd, weight }) => ({
      weight,
      mean: all.reduce((sum, [key, z]) => {
        const i = place.get(key);
        return i === undefined ? sum : sum + z * theta[i]!;
      }, Math.log(tables.median)),
      sd: Math.sqrt(untested + coatSd ** 2),
    }));
    const quantile = (p: number): number => {
      let low = Math.log(tables.median) - 4;
      let high = low + 8;
      for (let i = 0; i < 30; i++) {
        const middle = (low + high) / 2;
        const below = parts.reduce(
          (sum, { weight, mean, sd }) => sum + weight * normalCdf((middle - mean) / sd),
          0,
        );
        if (below < p) low = middle;
        else high = middle;
      }
      return (low + high) / 2;
    };
    const median = quantile(0.5);
    // What the tables allow beyond the split of the model widens the exact forecast as it does the other.
    const surplus = tables.sigma / Math.sqrt(priorVariance(features) + PRIOR_COAT_VARIANCE);
    return (p) => median + Math.max(1, surplus) * (quantile(p) - median);
  };
}
