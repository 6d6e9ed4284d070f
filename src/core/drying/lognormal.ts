import cdf from '@stdlib/stats-base-dists-normal-cdf';
import quantile from '@stdlib/stats-base-dists-normal-quantile';

/** A log-normal time or dose: its median, and the standard deviation of its natural logarithm. */
export interface LogNormal {
  median: number;
  sigma: number;
}

/** The value below which a share `p` of the outcomes lie; p in (0, 1). */
export const quantileOf = ({ median, sigma }: LogNormal, p: number): number =>
  p === 0.5 ? median : median * Math.exp(sigma * quantile(p, 0, 1));

/** Chance that the outcome is at most `value`. */
export function probabilityBy({ median, sigma }: LogNormal, value: number): number {
  if (value <= 0) return 0;
  return cdf(Math.log(value / median) / sigma, 0, 1);
}
