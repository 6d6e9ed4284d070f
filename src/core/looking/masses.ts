import { LOOKING } from '@/data/looking';
import type { Raster } from './photo';
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
    for (let j = c; j <= n; j++)
      for (let i = c - 1; i < j; i++) {
        const cost = before[i]! + within(i, j);
        if (cost < best[j]!) {
          best[j] = cost;
          cut[j] = i;
        }
      }
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

/** Regions of one mass, by four neighbours: flood filled with a stack of pixels. */
function regionsOf(map: Uint8Array, width: number, height: number) {
  const region = new Int32Array(map.length).fill(-1);
  const sizes: number[] = [];
  const stack = new Int32Array(map.length);
  for (let start = 0; start < map.length; start++) {
    if (region[start]! >= 0) continue;
    const id = sizes.length;
    const mass = map[start];
    let top = 0;
    stack[top++] = start;
    region[start] = id;
    let size = 0;
    while (top > 0) {
      const at = stack[--top]!;
      size += 1;
      const x = at % width;
      if (x > 0 && region[at - 1]! < 0 && map[at - 1] === mass)
        region[(stack[top++] = at - 1)] = id;
      if (x < width - 1 && region[at + 1]! < 0 && map[at + 1] === mass)
        region[(stack[top++] = at + 1)] = id;
      if (at >= width && region[at - width]! < 0 && map[at - width] === mass)
        region[(stack[top++] = at - width)] = id;
      if (at < width * (height - 1) && region[at + width]! < 0 && map[at + width] === mass)
        region[(stack[top++] = at + width)] = id;
    }
    sizes.push(size);
  }
  return { region, sizes };
}

/** Regions smaller than the brush go to the neighbour with the longest border, the smallest first, until none is left. */
function cleanUp(map: Uint8Array, width: number, height: number, least: number): void {
  for (;;) {
    const { region, sizes } = regionsOf(map, width, height);
    const small = sizes.map((s, id) => ({ s, id })).filter(({ s }) => s < least);
    if (small.length === 0 || small.length === sizes.length) return;
    const borders = new Map<number, Map<number, number>>();
    const met = (p: number, q: number): void => {
      const [one, two] = [region[p]!, region[q]!];
      if (one === two) return;
      for (const [here, mass] of [
        [one, map[q]!],
        [two, map[p]!],
      ] as const) {
        if (sizes[here]! >= least) continue;
        let of = borders.get(here);
        if (!of) borders.set(here, (of = new Map()));
        of.set(mass, (of.get(mass) ?? 0) + 1);
      }
    };
    for (let at = 0; at < map.length; at++) {
      if (at % width < width - 1) met(at, at + 1);
      if (at < width * (height - 1)) met(at, at + width);
    }
    // Neighbours that are small themselves may both move: the smaller half goes, then it is looked again.
    small.sort((p, q) => p.s - q.s);
    const go = new Map<number, number>();
    for (const { id, s } of small) {
      if (s > small[0]!.s * 4 && go.size > 0) break;
      const of = borders.get(id);
      if (!of) continue;
      const best = [...of].sort((p, q) => q[1] - p[1] || p[0] - q[0])[0]!;
      go.set(id, best[0]);
    }
    if (go.size === 0) return;
    for (let at = 0; at < map.length; at++) {
      const to = go.get(region[at]!);
      if (to !== undefined) map[at] = to;
    }
  }
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
