import { LEARNING as L } from '@/data/learning';
import type { DryingTimes, LogNormal } from '../drying';
import { scaled } from '../drying/lognormal';
import { priorSd, priorVariance, throughFeatures, type Features } from './features';
import { driftFeatures, leftOver, type Drift } from './drift';
import { remember } from '../remember';

/** What touch tests have taught, as plain data: enough to forecast any film. */
export interface Learned {
  /** Tests that count. */
  tests: number;
  factors: string[];
  mean: number[];
  covariance: number[][];
  coatVariance: number;
  coatVariancePrior: number;
  /** Factor on every spread, 1 or more: what its own past scores ask for. */
  widen: number;
  drift: Drift;
  /** Films with tests of their own: logarithms of their doses at the told chances. */
  films: Record<string, { touch: number[] | null; through: number[] | null }>;
}

/** Places of the factors, found once per posterior. */
const placesOf = remember(
  'places of factors',
  (learned: Learned) => new Map(learned.factors.map((f, i) => [f, i])),
);

/** Mean and variance of what the factors of a film say, ln d. A factor nobody has tested keeps its prior. */
export function factorsSay(
  learned: Learned,
  features: Features,
): { mean: number; variance: number } {
  const at = placesOf(learned);
  const index: number[] = [];
  const loading: number[] = [];
  let variance = 0;
  for (const key in features) {
    const place = at.get(key);
    if (place === undefined) variance += (features[key]! * priorSd(key)) ** 2;
    else {
      index.push(place);
      loading.push(features[key]!);
    }
  }
  let mean = 0;
  for (let a = 0; a < index.length; a++) {
    mean += loading[a]! * learned.mean[index[a]!]!;
    const row = learned.covariance[index[a]!]!;
    for (let b = 0; b < index.length; b++) variance += loading[a]! * loading[b]! * row[index[b]!]!;
  }
  return { mean, variance };
}

function updated(
  learned: Learned,
  tables: LogNormal,
  features: Features,
  wander: Features,
  beyond: number,
  coat: { now: number; prior: number },
  share: number,
): LogNormal {
  const prior = priorVariance(features);
  const { mean, variance } = factorsSay(learned, { ...features, ...wander });
  const now = variance + coat.now + beyond * (share * learned.drift.sd) ** 2;
  // Before any test this is 1: the windows are then those of the tables, whatever the split says; what the tables allow
  // beyond the split narrows in proportion.
  const ratio = Math.min(1, now / (prior + coat.prior));
  return {
    median: tables.median * Math.exp(mean),
    sigma: tables.sigma * Math.sqrt(ratio) * learned.widen,
  };
}

const withOwnTests = (logs: number[] | null | undefined, forecast: LogNormal): LogNormal => {
  if (!logs) return forecast;
  const told = logs.map(Math.exp);
  const [p10, , p50, , p90] = told as [number, number, number, number, number];
  // The nearest log-normal, by the outer marks.
  return { median: p50, sigma: Math.log(p90 / p10) / (2 * 1.2815515655446004), told };
};

/**
 * Doses of a film after what touch tests have taught: the tables moved by its factors and narrowed by how well
 * they are known. A film with tests of its own is told by them.
 * @param atMs when it was laid, or will be
 */
export function learnedTimes(
  learned: Learned,
  features: Features,
  times: DryingTimes,
  filmId: string,
  atMs: number,
): DryingTimes {
  if (learned.tests === 0) return times;
  const { features: wander, beyond } = driftFeatures(learned.drift, atMs);
  const through: Features = {};
  for (const key in wander) through[key] = L.throughLoading * wander[key]!;
  const own = learned.films[filmId];
  const touch = updated(
    learned,
    times.touch,
    features,
    wander,
    beyond,
    { now: learned.coatVariance, prior: learned.coatVariancePrior },
    1,
  );
  // Of through-dry what no factor says is the coat's own, and no test has told it yet.
  const asThrough = throughFeatures(features);
  const ownOfCoat = leftOver(times.through.sigma ** 2, priorVariance(asThrough));
  const dry = updated(
    learned,
    times.through,
    asThrough,
    through,
    beyond,
    { now: ownOfCoat, prior: ownOfCoat },
    L.throughLoading,
  );
  const touchDry = withOwnTests(own?.touch, touch);
  const throughDry = withOwnTests(own?.through, dry);
  // However the two are learned, no film is dry through before it is dry to the touch.
  const late = Math.max(1, touchDry.median / throughDry.median);
  return { ...times, touch: touchDry, through: scaled(throughDry, late) };
}
