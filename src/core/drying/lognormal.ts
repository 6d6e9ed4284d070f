import erfc from '@stdlib/math-base-special-erfc';
import erfcinv from '@stdlib/math-base-special-erfcinv';

/** Standard normal quantile and distribution function, by the complementary error function. */
const normalQuantile = (p: number): number => -Math.SQRT2 * erfcinv(2 * p);
const normalCdf = (z: number): number => 0.5 * erfc(-z / Math.SQRT2);

/** A log-normal time or dose: its median, and the standard deviation of its natural logarithm. */
export interface LogNormal {
  median: number;
  sigma: number;
}

/** The chances that windows are told by; worked out once, since every film of every passage needs them. */
const Z: Record<number, number> = Object.fromEntries(
  [0.1, 0.25, 0.5, 0.75, 0.9].map((p) => [p, normalQuantile(p)]),
);

/** The value below which a share `p` of the outcomes lie; p in (0, 1). */
export const quantileOf = ({ median, sigma }: LogNormal, p: number): number =>
  p === 0.5 ? median : median * Math.exp(sigma * (Z[p] ?? normalQuantile(p)));

/** Chance that the outcome is at most `value`. */
export function probabilityBy({ median, sigma }: LogNormal, value: number): number {
  if (value <= 0) return 0;
  return normalCdf(Math.log(value / median) / sigma);
}
