import { FINDING_KINDS, findingRange, LEARNING as L } from '@/data/learning';
import { normalCdf } from '../drying/lognormal';
import { GAUSS_HERMITE } from './gauss-hermite';
import type { FilmEvidence, TestEvidence } from './evidence';

/**
 * One test as an interval of the logarithm of the dose wanted: with y the logarithm of the film's own dose,
 * P(y) = (1 - eps) [Phi((d - y - low)/r) - Phi((d - y - high)/r)] + floor.
 */
export interface IntervalTest {
  /** Logarithm of the dose at the test. */
  d: number;
  low: number;
  high: number;
  /** Chance of this answer from a misread test. */
  floor: number;
  /** A brush moved the paint: it was open, which says more than wet. */
  blends?: boolean;
}

export interface Noise {
  /** Reading noise, ln d. */
  r: number;
  /** Share of misread tests. */
  eps: number;
}
export const STUDIO_NOISE: Noise = { r: L.readingNoise, eps: L.misreadRate };

/** What the finger found as an interval of the touch dose; null for a test at no dose, which says nothing. */
export function touchInterval(
  test: TestEvidence,
  film: Pick<FilmEvidence, 'setOverTouch' | 'openOverTouch'> = {},
  eps = L.misreadRate,
): IntervalTest | null {
  if (test.dose <= 0) return null;
  const [low, high] = findingRange(test.finding, film.setOverTouch, film.openOverTouch);
  return {
    blends: test.finding === 'still blends',
    d: Math.log(test.dose),
    low: Math.log(low),
    high: Math.log(high),
    floor: eps / FINDING_KINDS,
  };
}

/** What a thumb twist on a witness found, as an interval of the through-dry dose; null where none was tried. */
export function twistInterval(test: TestEvidence, eps = L.misreadRate): IntervalTest | null {
  if (test.dose <= 0) return null;
  const d = Math.log(test.dose);
  if (test.finding === 'through-dry') return { d, low: 0, high: Infinity, floor: eps / 2 };
  return test.twistMarks ? { d, low: -Infinity, high: 0, floor: eps / 2 } : null;
}

/** Farther out the density is less than floating point can add to anything. */
const FAR = 38;
const ROOT_2PI = Math.sqrt(2 * Math.PI);
const density = (u: number): number => (Math.abs(u) > FAR ? 0 : Math.exp(-0.5 * u * u) / ROOT_2PI);

/** Phi(a) - Phi(b) for a > b, from the tail in which nothing cancels. */
export function normalBetween(a: number, b: number): number {
  if (a === Infinity && b === -Infinity) return 1;
  return b > 0 ? normalCdf(-b) - normalCdf(-a) : normalCdf(a) - normalCdf(b);
}

/**
 * Phi from a table, cubic between its points: good to 1e-9, which is nothing beside the share of misread tests.
 * The learning asks for it half a million times a run.
 */
const TABLE_REACH = 8;
const TABLE_STEPS = 64;
const TABLE = Float64Array.from({ length: 2 * TABLE_REACH * TABLE_STEPS + 2 }, (_, i) =>
  normalCdf(i / TABLE_STEPS - TABLE_REACH),
);
const SLOPES = Float64Array.from(
  { length: TABLE.length },
  (_, i) => density(i / TABLE_STEPS - TABLE_REACH) / TABLE_STEPS,
);

/** The slope of that table's own curve, so that value and derivative belong together. */
function tabledDensity(u: number): number {
  if (u <= -TABLE_REACH || u >= TABLE_REACH) return 0;
  const at = (u + TABLE_REACH) * TABLE_STEPS;
  const i = Math.floor(at);
  const t = at - i;
  const rise = TABLE[i + 1]! - TABLE[i]!;
  const p = SLOPES[i]!;
  const q = SLOPES[i + 1]!;
  return TABLE_STEPS * (p + t * (2 * (3 * rise - 2 * p - q) + 3 * t * (p + q - 2 * rise)));
}

function tabledCdf(u: number): number {
  if (u <= -TABLE_REACH) return 0;
  if (u >= TABLE_REACH) return 1;
  const at = (u + TABLE_REACH) * TABLE_STEPS;
  const i = Math.floor(at);
  const t = at - i;
  const a = TABLE[i]!;
  const b = TABLE[i + 1]!;
  const p = SLOPES[i]!;
  const q = SLOPES[i + 1]!;
  return a + t * (p + t * (3 * (b - a) - 2 * p - q + t * (p + q - 2 * (b - a))));
}

const LEAST = 1e-300;

/** Value and first two derivatives by y, written into `out`. */
type Triple = Float64Array;

function testAt(test: IntervalTest, y: number, r: number, eps: number, out: Triple): void {
  const a = (test.d - y - test.low) / r;
  const b = (test.d - y - test.high) / r;
  const far = eps === 0 ? FAR : TABLE_REACH;
  const fa = Math.abs(a) > far ? 0 : density(a);
  const fb = Math.abs(b) > far ? 0 : density(b);
  const sure = 1 - eps;
  out[0] = eps === 0 ? normalBetween(a, b) : sure * (tabledCdf(a) - tabledCdf(b)) + test.floor;
  out[1] = (-sure * (fa - fb)) / r;
  const ua = fa === 0 ? 0 : a * fa;
  const ub = fb === 0 ? 0 : b * fb;
  out[2] = (-sure * (ua - ub)) / (r * r);
}

/** Chance of an answer when the film's own dose is exp(y). */
export function answerChance(test: IntervalTest, y: number, { r, eps }: Noise): number {
  const a = (test.d - y - test.low) / r;
  const b = (test.d - y - test.high) / r;
  return eps === 0 ? normalBetween(a, b) : (1 - eps) * (tabledCdf(a) - tabledCdf(b)) + test.floor;
}

/** Nodes so far out that a misread test is likelier are left out. */
const LEAST_WEIGHT = 1e-6;
const USED = GAUSS_HERMITE.filter((q) => q.weight > LEAST_WEIGHT);
const NODES = Float64Array.from(USED, (q) => q.node);
const WEIGHTS = Float64Array.from(USED, (q) => q.weight);

const scratch = new Float64Array(3);

/**
 * Logarithm of the chance of all tests of one film, and its first two derivatives by the mean of y. One test is
 * integrated in closed form, several by Gauss-Hermite quadrature over what the film has of its own.
 * @param mean of y, ln d
 * @param sd of what the film has of its own, ln d
 * @param out value, first, second derivative
 */
export function filmLogLikelihood(
  tests: readonly IntervalTest[],
  mean: number,
  sd: number,
  { r, eps }: Noise,
  out: Triple,
): void {
  let f = 0;
  let f1 = 0;
  let f2 = 0;
  if (tests.length === 1) {
    testAt(tests[0]!, mean, Math.hypot(r, sd), eps, scratch);
    f = scratch[0]!;
    f1 = scratch[1]!;
    f2 = scratch[2]!;
  } else {
    const sure = 1 - eps;
    const per = 1 / r;
    const slope = eps === 0 ? density : tabledDensity;
    for (let q = 0; q < NODES.length; q++) {
      const y = mean + sd * NODES[q]!;
      let p = WEIGHTS[q]!;
      let g = 0;
      let h = 0;
      // As in testAt, written out: this is where the learning spends its time.
      for (const test of tests) {
        const a = (test.d - y - test.low) * per;
        const b = (test.d - y - test.high) * per;
        const aNear = a < TABLE_REACH && a > -TABLE_REACH;
        const bNear = b < TABLE_REACH && b > -TABLE_REACH;
        if (!aNear && !bNear) {
          p *= Math.max((a > 0 ? sure : 0) - (b > 0 ? sure : 0) + test.floor, LEAST);
          continue;
        }
        const fa = aNear ? slope(a) : 0;
        const fb = bNear ? slope(b) : 0;
        const between =
          eps === 0
            ? normalBetween(a, b)
            : sure *
              ((aNear ? tabledCdf(a) : a > 0 ? 1 : 0) - (bNear ? tabledCdf(b) : b > 0 ? 1 : 0));
        const chance = Math.max(between + test.floor, LEAST);
        const s = (-sure * per * (fa - fb)) / chance;
        const c = (-sure * per * per * ((aNear ? a * fa : 0) - (bNear ? b * fb : 0))) / chance;
        h += c - s * s;
        g += s;
        p *= chance;
      }
      f += p;
      f1 += p * g;
      f2 += p * (h + g * g);
    }
  }
  f = Math.max(f, LEAST);
  const score = f1 / f;
  out[0] = Math.log(f);
  out[1] = score;
  out[2] = f2 / f - score * score;
}
