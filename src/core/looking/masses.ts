import { LOOKING } from '@/data/looking';
import type { Raster } from './photo';
import { cleanUp } from './regions';
import { quantile } from './values';

export const MASS_WAYS = ['even', 'areas', 'breaks'] as const;
export type MassWay = (typeof MASS_WAYS)[number];
/** Those, and thresholds that the painter sets. */
export const MASS_CHOICES = [...MASS_WAYS, 'hand'] as const;
export type MassChoice = (typeof MASS_CHOICES)[number];

const BINS = 1001;

/** Lightness of a picture in a thousand bins of 0.1 L*. */
export function histogramOf(L: ArrayLike<number>): Uint32Array {
  const out = new Uint32Array(BINS);
  for (let i = 0; i < L.length; i++)
    out[Math.min(BINS - 1, Math.max(0, Math.round(L[i]! * 10)))]! += 1;
  return out;
}

/**
 * Optimal breaks in one dimension: the classes whose values lie nearest to their means, exactly, by dynamic programming
 * over the bins (Wang & Song 2011, from memory).
 * @returns thresholds midway between the classes, L*
 */
export function optimalBreaks(histogram: ArrayLike<number>, k: number): number[] {
  const bins: number[] = [];
  for (let i = 0; i < histogram.length; i++) if (histogram[i]! > 0) bins.push(i);
  const n = bins.length;
  if (n <= k) return bins.slice(1).map((b, i) => (b + bins[i]!) / 20);
  const w = new Float64Array(n + 1);
  const x = new Float64Array(n + 1);
  const xx = new Float64Array(n + 1);
  bins.forEach((b, i) => {
    const m = histogram[b]!;
    w[i + 1] = w[i]! + m;
    x[i + 1] = x[i]! + m * b;
    xx[i + 1] = xx[i]! + m * b * b;
  });
  const within = (i: number, j: number): number => {
    const m = w[j]! - w[i]!;
    const s = x[j]! - x[i]!;
    return xx[j]! - xx[i]! - (s * s) / m;
  };
  let before = Float64Array.from({ length: n + 1 }, (_, j) => (j === 0 ? 0 : within(0, j)));
  const from: Int32Array[] = [];
  for (let c = 2; c <= k; c++) {
    const best = new Float64Array(n + 1).fill(Infinity);
    const cut = new Int32Array(n + 1);
    // The best cut never moves back as the row grows: halves of the row need only look between the cuts of their ends.
    const part = (first: number, last: number, low: number, high: number): void => {
      if (first > last) return;
      const j = (first + last) >> 1;
      for (let i = Math.max(low, c - 1); i <= Math.min(high, j - 1); i++) {
        const cost = before[i]! + within(i, j);
        if (cost < best[j]!) {
          best[j] = cost;
          cut[j] = i;
        }
      }
      part(first, j - 1, low, cut[j]!);
      part(j + 1, last, cut[j]!, high);
    };
    part(c, n, c - 1, n - 1);
    from.push(cut);
    before = best;
  }
  const out: number[] = [];
  for (let c = from.length - 1, j = n; c >= 0; c--) {
    j = from[c]![j]!;
    out.unshift((bins[j - 1]! + bins[j]!) / 20);
  }
  return out;
}

/**
 * Thresholds of masses, darkest first. For two pictures to be compared one set serves both.
 * @param k masses, 2 to 9
 */
export function thresholdsOf(histogram: ArrayLike<number>, k: number, way: MassWay): number[] {
  if (way === 'breaks') return optimalBreaks(histogram, k);
  const inner = Array.from({ length: k - 1 }, (_, i) => (i + 1) / k);
  if (way === 'areas') return inner.map((share) => quantile(histogram, share));
  const [low, high] = [quantile(histogram, 0.01), quantile(histogram, 0.99)];
  return inner.map((share) => low + share * (high - low));
}

export interface Masses {
  /** Of every pixel its mass, 0 the darkest. */
  map: Uint8Array;
  thresholds: number[];
  /** Share of the picture, and mean L*, of each mass. */
  shares: number[];
  means: number[];
}

/**
 * A picture in a few values.
 * @param L row by row, squinted before if wanted
 * @param leastMm2 smaller regions are taken into their neighbours; at least a thousandth of the area
 */
export function massesOf(
  L: Float32Array,
  { width, height, pxPerMm }: Pick<Raster, 'width' | 'height' | 'pxPerMm'>,
  thresholds: readonly number[],
  leastMm2 = 0,
): Masses {
  const map = new Uint8Array(L.length);
  for (let i = 0; i < L.length; i++) {
    let mass = 0;
    while (mass < thresholds.length && L[i]! >= thresholds[mass]!) mass += 1;
    map[i] = mass;
  }
  cleanUp(map, width, height, Math.max(leastMm2 * pxPerMm ** 2, LOOKING.leastMassShare * L.length));
  const counts = new Array<number>(thresholds.length + 1).fill(0);
  const sums = new Array<number>(thresholds.length + 1).fill(0);
  for (let i = 0; i < L.length; i++) {
    counts[map[i]!]! += 1;
    sums[map[i]!]! += L[i]!;
  }
  return {
    map,
    thresholds: [...thresholds],
    shares: counts.map((c) => c / L.length),
    means: sums.map((s, i) => (counts[i]! > 0 ? s / counts[i]! : 0)),
  };
}
