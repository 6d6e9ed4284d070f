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
const CLOSE = 1e-9;
const SMALL_GAIN = 1e-13;

/**
 * Maximum likelihood of interval-censored log-normal times: the learning model with flat priors, no grouping, no
 * misread tests and no reading noise. What it says can be compared with any statistics package.
 * The likelihood has one top in the coefficients for each sigma; sigma is found by golden section on its logarithm.
 */
export function fitIntervals(rows: Interval[]): IntervalEstimate {
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
  const logLikelihood = height((a + b) / 2);
  return {
    coefficients: Array.from(theta),
    sigma: Math.exp((a + b) / 2),
    logLikelihood,
  };
}
