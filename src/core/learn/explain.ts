import { LEARNING as L } from '@/data/learning';
import { factorsSay, type Learned } from './learned';
import { priorSd, STUDIO_FACTOR, type Features } from './features';
import { driftFeatures } from './drift';

/** What is known of one factor: it multiplies drying times by `factor`. */
export interface Told {
  key: string;
  factor: number;
  /** Nine chances in ten that it lies between these. */
  low: number;
  high: number;
}

const Z90 = 1.6448536269514722;

const told = (key: string, mean: number, sd: number): Told => ({
  key,
  factor: Math.exp(mean),
  low: Math.exp(mean - Z90 * sd),
  high: Math.exp(mean + Z90 * sd),
});

export interface Explanation {
  tests: number;
  /** How films dry in this studio now, whatever they are made of. */
  studio: Told | null;
  /** Factors that are known well enough to be told, the strongest first. */
  factors: Told[];
  /** How much wider than the model thinks its windows have to be; 1 when past forecasts held. */
  widen: number;
}

/** A factor as strong as this is worth a word. */
const WORTH_SAYING = Math.log(L.worthSaying);
const MUTE = /^(drift:|studio$|temperature$|thickness$|through)/;

/**
 * What touch tests have taught, in figures that may be said. A factor is told only when its spread is under 0.7 of
 * what it was: one paint always used with one medium is known only together with it.
 */
export function explain(learned: Learned, nowMs: number): Explanation {
  if (learned.tests === 0) return { tests: 0, studio: null, factors: [], widen: 1 };
  const studioFeatures: Features = {
    [STUDIO_FACTOR]: 1,
    ...driftFeatures(learned.drift, nowMs).features,
  };
  const studio = factorsSay(learned, studioFeatures);
  const known = (key: string, sd: number): boolean => sd < L.toldBelow * priorSd(key);
  const factors = learned.factors.flatMap((key, i): Told[] => {
    if (MUTE.test(key)) return [];
    const sd = Math.sqrt(learned.covariance[i]![i]!);
    const mean = learned.mean[i]!;
    return known(key, sd) && Math.abs(mean) >= WORTH_SAYING ? [told(key, mean, sd)] : [];
  });
  const studioSd = Math.sqrt(studio.variance);
  return {
    tests: learned.tests,
    studio: known(STUDIO_FACTOR, studioSd) ? told(STUDIO_FACTOR, studio.mean, studioSd) : null,
    factors: factors.sort((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor))),
    widen: learned.widen,
  };
}

const plain = (x: number): string => x.toFixed(1);

/** "1.3 times slower" */
export function pace({ factor }: Pick<Told, 'factor'>): string {
  if (plain(factor) === '1.0' || plain(1 / factor) === '1.0') return 'about as fast as';
  return factor > 1
    ? `${plain(factor)} times slower than`
    : `${plain(1 / factor)} times faster than`;
}

/** "1.1 to 1.5" slower, "1.2 to 1.8" faster, or from the one to the other. */
function between({ factor, low, high }: Told): string {
  if (low < 1 && high > 1) return `${plain(1 / low)} times faster to ${plain(high)} times slower`;
  return factor > 1 ? `${plain(low)} to ${plain(high)}` : `${plain(1 / high)} to ${plain(1 / low)}`;
}

/**
 * The whole in one sentence. @param nameOf what a factor is called
 * @example "Coats here dry 1.3 times slower than the tables (1.1 to 1.5), from 14 tests; raw umber faster."
 */
export function explanationSentence(
  { tests, studio, factors }: Explanation,
  nameOf: (key: string) => string,
): string {
  const from = `from ${tests} ${tests === 1 ? 'test' : 'tests'}`;
  if (tests === 0) return 'Nothing is learned yet: the tables alone speak.';
  const others = factors
    .slice(0, 3)
    .map((f) => `${nameOf(f.key)} ${f.factor > 1 ? 'slower' : 'faster'}`)
    .join(', ');
  const rest = others ? `; ${others}` : '';
  return studio
    ? `Coats here dry ${pace(studio)} the tables (${between(studio)}), ${from}${rest}.`
    : `Too little is known of this studio yet, ${from}${rest}.`;
}
