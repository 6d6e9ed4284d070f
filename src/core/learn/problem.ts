import { LEARNING as L } from '@/data/learning';
import { driftFeatures, driftOf, leftOver, type Drift } from './drift';
import type { FilmEvidence } from './evidence';
import { priorSd, priorVariance, throughFeatures, type Features } from './features';
import { touchInterval, twistInterval, type IntervalTest } from './likelihood';

/** The tests of one film about one stage: what they are likely under, and how its factors load. */
export interface Site {
  film: number;
  stage: 'touch' | 'through';
  tests: IntervalTest[];
  /** Which of the film's tests each is. */
  testIds: string[];
  /** When each was made, ms. */
  testedAt: number[];
  /** The latest of the tests: what was seen last. */
  last: number;
  /** Factors by index, rising, and their loadings. */
  factor: Int32Array;
  loading: Float64Array;
  /** Logarithm of the dose of the tables. */
  tables: number;
  /** Variance of its own beside that of any coat: of through-dry, what the tables allow and no factor explains. */
  extra: number;
}

export interface Problem {
  factors: string[];
  priorSd: Float64Array;
  sites: Site[];
  drift: Drift;
}

/** The tests of all films as sites, and the factors they share. */
export function problemOf(evidence: FilmEvidence[]): Problem {
  const index = new Map<string, number>();
  const drift = driftOf(evidence);
  const sites: Site[] = [];
  const indexOf = (factor: string): number => {
    const known = index.get(factor);
    if (known !== undefined) return known;
    index.set(factor, index.size);
    return index.size - 1;
  };
  const siteOf = (
    film: number,
    stage: Site['stage'],
    features: Features,
    tests: { interval: IntervalTest; id: string; atMs: number }[],
    tables: { median: number; sigma: number },
    wander: Features,
  ): void => {
    if (tests.length === 0) return;
    // Touch-dry has the spread of a coat to itself, and that is asked; through-dry has what no factor says.
    const extra = stage === 'touch' ? 0 : leftOver(tables.sigma ** 2, priorVariance(features));
    const all = Object.entries({ ...features, ...wander })
      .filter(([, v]) => v !== 0)
      .map(([key, value]): [number, number] => [indexOf(key), value])
      .sort(([a], [b]) => a - b);
    sites.push({
      film,
      stage,
      tests: tests.map((t) => t.interval),
      testIds: tests.map((t) => t.id),
      testedAt: tests.map((t) => t.atMs),
      last: tests.reduce((at, t, k) => (t.atMs >= tests[at]!.atMs ? k : at), 0),
      factor: Int32Array.from(all, ([index]) => index),
      loading: Float64Array.from(all, ([, value]) => value),
      tables: Math.log(tables.median),
      extra,
    });
  };
  evidence.forEach((film, i) => {
    const wander = driftFeatures(drift, film.laidAtMs).features;
    const of = (interval: (t: FilmEvidence['tests'][number]) => IntervalTest | null) =>
      film.tests.flatMap((t) => {
        const found = interval(t);
        return found ? [{ interval: found, id: t.id, atMs: t.atMs }] : [];
      });
    siteOf(
      i,
      'touch',
      film.features,
      of((t) => touchInterval(t, film)),
      film.touch,
      wander,
    );
    const through = throughFeatures(film.features);
    const wandered = Object.fromEntries(
      Object.entries(wander).map(([k, v]) => [k, v * L.throughLoading]),
    );
    siteOf(
      i,
      'through',
      through,
      of((t) => twistInterval(t)),
      film.through,
      wandered,
    );
  });
  const factors = [...index.keys()];
  return {
    factors,
    priorSd: Float64Array.from(factors, (f) => (f.startsWith('drift:') ? drift.sd : priorSd(f))),
    sites,
    drift,
  };
}
