import erfc from '@stdlib/math-base-special-erfc';
import erfcinv from '@stdlib/math-base-special-erfcinv';

/** Standard normal quantile and distribution function, by the complementary error function. */
const normalQuantile = (p: number): number => -Math.SQRT2 * erfcinv(2 * p);
/** Standard normal distribution function. Source: 1 - erfc(z / sqrt 2) / 2. */
export const normalCdf = (z: number): number => 0.5 * erfc(-z / Math.SQRT2);

/** The chances that windows are told by. */
export const TOLD = [0.1, 0.25, 0.5, 0.75, 0.9] as const;

/** A log-normal time or dose: its median, and the standard deviation of its natural logarithm. */
export interface LogNormal {
  median: number;
  sigma: number;
  /**
   * Values at the chances of `TOLD`, where touch tests of this very film have bent the distribution away from
   * log-normal; median and sigma are then those of the nearest log-normal.
   */
  told?: readonly number[];
}

/** Worked out once, since every film of every passage needs them. */
const Z: Record<number, number> = Object.fromEntries(TOLD.map((p) => [p, normalQuantile(p)]));
const PLACE: Record<number, number> = Object.fromEntries(TOLD.map((p, i) => [p, i]));

/** The value below which a share `p` of the outcomes lie; p in (0, 1). */
export function quantileOf({ median, sigma, told }: LogNormal, p: number): number {
  const known = told?.[PLACE[p] ?? -1];
  if (known !== undefined) return known;
  return p === 0.5 ? median : median * Math.exp(sigma * (Z[p] ?? normalQuantile(p)));
}

/** `factor` times the value. */
export const scaled = ({ median, sigma, told }: LogNormal, factor: number): LogNormal => ({
  median: median * factor,
  sigma,
  ...(told ? { told: told.map((x) => x * factor) } : {}),
});

/** The value times something known to `sigma` (ln) besides. */
export function blurred({ median, sigma, told }: LogNormal, by: number): LogNormal {
  const wider = Math.hypot(sigma, by);
  const stretch = sigma === 0 ? 1 : wider / sigma;
  return {
    median,
    sigma: wider,
    ...(told ? { told: told.map((x) => median * (x / median) ** stretch) } : {}),
  };
}

/** Chance that the outcome is at most `value`. */
export function probabilityBy({ median, sigma }: LogNormal, value: number): number {
  if (value <= 0) return 0;
  return normalCdf(Math.log(value / median) / sigma);
}
