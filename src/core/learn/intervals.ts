import { CoreError } from '../errors';
import { choleskyFactor, choleskyInverse } from './cholesky';
import { climb } from './fit';
import type { Problem } from './problem';

/** A time known to lie in an interval; an open end is 0 or null. */
export interface Interval {
  low: number;
  high: number | null;
  /** Covariates; the first coefficient is the intercept. */
  z?: number[];
}

export interface IntervalEstimate {
  /** Intercept, then one coefficient per covariate, of ln t. */
  coefficients: number[];
  sigma: number;
  logLikelihood: number;
}

const EXACT = { r: 0, eps: 0 };
const SIGMA_RANGE = [0.01, 10] as const;
const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** Within this factor of its range sigma has run into the end. */
const NEAR_END = 1.01;
const CLOSE = 1e-9;
const SMALL_GAIN = 1e-13;

/** A coefficient that is not known to this, ln t, is not known at all: the likelihood is level there. */
const WIDEST_ERROR = 30;

/** Throws `no-estimate` unless the search ended on a top inside its range. */
function requireTop(top: ReturnType<typeof climb>, theta: Float64Array, sigma: number): void {
  const n = theta.length;
  const refuse = (why: string): never => {
    throw new CoreError('no-estimate', 'rows', `These times have no estimate: ${why}`);
  };
  const [narrow, wide] = SIGMA_RANGE;
  if (sigma < narrow * NEAR_END)
    refuse('all of them can be at one moment. Give times that tell films apart.');
  const factor = choleskyFactor(top.precision, n);
  const inverse = factor && choleskyInverse(factor, n);
  const known = inverse && theta.every((_, i) => Math.sqrt(inverse[i * n + i]!) < WIDEST_ERROR);
  if (!known || sigma > wide / NEAR_END)
    refuse(
      'they go on without end one way, or one column says the same as another. Give times with a beginning and an end, and leave that column out.',
    );
}

/**
 * Maximum likelihood of interval-censored log-normal times: the learning model with flat priors, no grouping, no
 * misread tests and no reading noise. What it says can be compared with any statistics package.
 * The likelihood has one top in the coefficients for each sigma; sigma is found by golden section on its logarithm.
 * Throws `range` for a row that is no interval, `no-estimate` where the likelihood has no top: all still to come, all
 * over already, one column as another, or all at one moment.
 */
export function fitIntervals(rows: Interval[]): IntervalEstimate {
  rows.forEach(({ low, high }, i) => {
    if (!(low >= 0) || (high !== null && !(high > low)))
      throw new CoreError(
        'range',
        `rows.${i}`,
        `Row ${i + 1} goes from ${low} to ${String(high)}: an interval begins at 0 or later and ends after that.`,
      );
  });
  const n = 1 + (rows[0]?.z?.length ?? 0);
  const problem: Problem = {
    factors: Array.from({ length: n }, (_, i) => `beta:${i}`),
    priorSd: new Float64Array(n).fill(Infinity),
    drift: { fromMs: 0, stretchMs: 1, steps: 0, sd: 0 },
    sites: rows.map((row, film) => ({
      film,
      stage: 'touch',
      tests: [
        {
          d: 0,
          low: row.high === null ? -Infinity : -Math.log(row.high),
          high: row.low <= 0 ? Infinity : -Math.log(row.low),
          floor: 0,
        },
      ],
      testIds: [String(film)],
      testedAt: [0],
      last: 0,
      factor: Int32Array.from({ length: n }, (_, i) => i),
      loading: Float64Array.from([1, ...(row.z ?? [])]),
      tables: 0,
      extra: 0,
    })),
  };
  const theta = new Float64Array(n);
  const height = (logSigma: number): number =>
    climb(problem, theta, Math.exp(logSigma), EXACT, SMALL_GAIN).value;
  let [a, b] = SIGMA_RANGE.map(Math.log) as [number, number];
  let c = b - GOLDEN * (b - a);
  let d = a + GOLDEN * (b - a);
  let atC = height(c);
  let atD = height(d);
  while (b - a > CLOSE) {
    if (atC > atD) {
      [b, d, atD] = [d, c, atC];
      c = b - GOLDEN * (b - a);
      atC = height(c);
    } else {
      [a, c, atC] = [c, d, atD];
      d = a + GOLDEN * (b - a);
      atD = height(d);
    }
  }
  const sigma = Math.exp((a + b) / 2);
  const top = climb(problem, theta, sigma, EXACT, SMALL_GAIN);
  requireTop(top, theta, sigma);
  return { coefficients: Array.from(theta), sigma, logLikelihood: top.value };
}
