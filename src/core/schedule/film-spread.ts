import { choleskyFactor } from '../learn/cholesky';
import { driftFeatures } from '../learn/drift';
import { priorSd, throughFeatures, type Features } from '../learn/features';
import type { Learned } from '../learn';
import type { LogNormal } from '../drying';
import type { SharedLogNormal } from './problem';
import { LEARNING as L } from '@/data/learning';

/** A film whose dose is to be split into what it shares with others and what is its own. */
export interface FilmToSplit {
  openOverTouch: number;
  touch: LogNormal;
  through: LogNormal;
  features: Features;
  /** When it is laid, about: what a studio has wandered by then. */
  atMs: number;
  /** Standard deviation that weather adds to the logarithm of its dose. */
  weatherSigma: number;
}

/** Independent standard normals that a list of factors is made of. */
interface Basis {
  size: number;
  /** Loadings of a film's features on them. */
  load(features: Features): number[];
}

/**
 * Factors that nobody has tested are independent, each with its prior spread; the tested ones move together, as their
 * posterior covariance says, and are made of independent ones by its Cholesky factor.
 */
function basisOf(films: Features[], learned: Learned | null): Basis {
  const keys = [...new Set(films.flatMap((f) => Object.keys(f)))].sort();
  const tested =
    learned && learned.tests > 0 ? keys.filter((k) => learned.factors.includes(k)) : [];
  const free = keys.filter((k) => !tested.includes(k));
  const n = tested.length;
  let factor: Float64Array | null = null;
  const at = tested.map((k) => learned!.factors.indexOf(k));
  if (learned && n > 0) {
    const a = new Float64Array(n * n);
    for (let i = 0; i < n; i++)
      for (let j = 0; j < n; j++) a[i * n + j] = learned.covariance[at[i]!]![at[j]!]!;
    factor = choleskyFactor(a, n);
  }
  return {
    size: keys.length,
    load(features) {
      const out = new Array<number>(keys.length).fill(0);
      tested.forEach((key, i) => {
        const f = features[key] ?? 0;
        if (f === 0) return;
        // A covariance that is no longer positive definite by rounding: its diagonal alone.
        if (factor) for (let k = 0; k <= i; k++) out[k]! += f * factor[i * n + k]!;
        else out[i]! += f * Math.sqrt(Math.max(0, learned!.covariance[at[i]!]![at[i]!]!));
      });
      free.forEach((key, k) => {
        out[n + k] = (features[key] ?? 0) * priorSd(key);
      });
      return out;
    },
  };
}

/** What of the spread is shared, and what is left for the film alone; together they are the spread that is told. */
function split({ median, sigma }: LogNormal, shared: number[]): SharedLogNormal {
  const together = shared.reduce((sum, x) => sum + x * x, 0);
  const total = sigma * sigma;
  if (together <= total) return { median, own: Math.sqrt(total - together), shared };
  const scale = sigma / Math.sqrt(together);
  return { median, own: 0, shared: shared.map((x) => x * scale) };
}

/**
 * Doses of films with their spreads parted: the same factors (studio, paint, medium, activation energy, weather …) are
 * drawn once for all films of a scenario, the rest for each. The whole spread of a film is what its windows tell.
 */
export function splitFilms(
  films: FilmToSplit[],
  learned: Learned | null,
): { touch: SharedLogNormal; through: SharedLogNormal }[] {
  const drift = (film: FilmToSplit): Features =>
    learned && learned.tests > 0 ? driftFeatures(learned.drift, film.atMs).features : {};
  const touch = films.map((film): Features => ({ ...film.features, ...drift(film) }));
  const through = films.map((film): Features => {
    const wander = drift(film);
    const shared: Features = {};
    for (const key in wander) shared[key] = L.throughLoading * wander[key]!;
    return { ...throughFeatures(film.features), ...shared };
  });
  const basis = basisOf([...touch, ...through], learned);
  const widen = learned && learned.tests > 0 ? learned.widen : 1;
  const loadings = (features: Features, weather: number): number[] => [
    ...basis.load(features).map((x) => x * widen),
    weather,
  ];
  return films.map((film, i) => ({
    touch: split(film.touch, loadings(touch[i]!, film.weatherSigma)),
    through: split(film.through, loadings(through[i]!, film.weatherSigma)),
  }));
}
