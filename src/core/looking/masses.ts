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

/** Regions of one mass, by four neighbours: every pixel is one with the left and the upper of its mass (union and find). */
function regionsOf(map: Uint8Array, width: number, height: number) {
  const region = new Int32Array(map.length);
  const into: number[] = [];
  const root = (id: number): number => {
    let at = id;
    while (into[at] !== at) at = into[at] = into[into[at]!]!;
    return at;
  };
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at++) {
      const mass = map[at];
      const left = x > 0 && map[at - 1] === mass ? region[at - 1]! : -1;
      const up = y > 0 && map[at - width] === mass ? region[at - width]! : -1;
      if (left < 0 && up < 0) {
        region[at] = into.length;
        into.push(into.length);
      } else if (left < 0 || up < 0 || left === up) region[at] = left < 0 ? up : left;
      else {
        const one = root(left);
        const two = root(up);
        region[at] = Math.min(one, two);
        into[Math.max(one, two)] = region[at]!;
      }
    }
  // Numbered anew, without gaps.
  const names = new Int32Array(into.length).fill(-1);
  const sizes: number[] = [];
  for (let at = 0; at < region.length; at++) {
    const own = root(region[at]!);
    if (names[own]! < 0) {
      names[own] = sizes.length;
      sizes.push(0);
    }
    region[at] = names[own]!;
    sizes[names[own]!]! += 1;
  }
  return { region, sizes };
}

/** Lengths of the borders of small regions with each of their neighbours, px; a large one goes nowhere. */
function bordersOf(
  region: Int32Array,
  width: number,
  sizes: readonly number[],
  least: number,
): (Map<number, number> | undefined)[] {
  const borders = new Array<Map<number, number> | undefined>(sizes.length);
  const meet = (p: number, q: number): void => {
    if (p === q || sizes[p]! >= least) return;
    const of = (borders[p] ??= new Map<number, number>());
    of.set(q, (of.get(q) ?? 0) + 1);
  };
  for (let at = 0; at < region.length; at++) {
    const here = region[at]!;
    if ((at + 1) % width > 0 && region[at + 1] !== here) {
      meet(here, region[at + 1]!);
      meet(region[at + 1]!, here);
    }
    const below = region[at + width];
    if (below !== undefined && below !== here) {
      meet(here, below);
      meet(below, here);
    }
  }
  return borders;
}

/**
 * Regions smaller than the brush go, the smallest first, to the mass with which they have the longest border (of two alike
 * to the nearer value), and grow together with what of it they touch; until none is left.
 */
function cleanUp(map: Uint8Array, width: number, height: number, least: number): void {
  const { region, sizes } = regionsOf(map, width, height);
  if (!sizes.some((s) => s < least)) return;
  const mass = new Uint8Array(sizes.length);
  for (let at = 0; at < map.length; at++) mass[region[at]!] = map[at]!;
  const borders = bordersOf(region, width, sizes, least);
  // A region that went into another is that other.
  const into = Int32Array.from(sizes, (_, id) => id);
  const now = (id: number): number => {
    let at = id;
    while (into[at] !== at) at = into[at] = into[into[at]!]!;
    return at;
  };
  const queue = sizes
    .map((size, id) => ({ size, id }))
    .filter(({ size }) => size < least)
    .sort((p, q) => q.size - p.size || q.id - p.id);
  const wait = (id: number): void => {
    const size = sizes[id]!;
    let [low, high] = [0, queue.length];
    while (low < high) {
      const mid = (low + high) >> 1;
      if (queue[mid]!.size > size) low = mid + 1;
      else high = mid;
    }
    queue.splice(low, 0, { size, id });
  };
  while (queue.length > 0) {
    const { id, size } = queue.pop()!;
    // It has grown since it was put in the row, or is part of another.
    if (into[id] !== id || sizes[id] !== size) continue;
    const of = new Map<number, number>();
    const own = mass[id]!;
    borders[id]!.forEach((length, other) => {
      const there = mass[now(other)]!;
      of.set(there, (of.get(there) ?? 0) + length);
    });
    const best = [...of].sort(
      (p, q) => q[1] - p[1] || Math.abs(p[0] - own) - Math.abs(q[0] - own) || p[0] - q[0],
    )[0];
    if (!best) continue;
    mass[id] = best[0];
    // What it touches of that mass is one with it.
    const touching = [...new Set([...borders[id]!.keys()].map(now))].filter(
      (other) => other !== id && mass[other] === best[0],
    );
    const largest = touching.reduce((p, q) => (sizes[q]! > sizes[p]! ? q : p));
    const parts = [id, ...touching].filter((part) => part !== largest);
    for (const part of parts) {
      into[part] = largest;
      sizes[largest]! += sizes[part]!;
    }
    // One that is no longer small is asked nothing more.
    if (sizes[largest]! >= least) continue;
    const all = borders[largest]!;
    for (const part of parts)
      borders[part]!.forEach((length, other) => all.set(other, (all.get(other) ?? 0) + length));
    for (const other of [...all.keys()]) if (now(other) === largest) all.delete(other);
    wait(largest);
  }
  for (let at = 0; at < map.length; at++) map[at] = mass[now(region[at]!)]!;
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
