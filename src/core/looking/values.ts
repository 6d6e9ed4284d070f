import { LOOKING } from '@/data/looking';
import { lightnessOf, warmthOf } from '../optics/colour';
import { innerPixels, type Labels } from './passages';
import type { Raster } from './photo';

/** What the photo says of one passage. */
export interface PassageValue {
  id: string;
  areaCm2: number;
  /** What it weighs from afar: L* of its mean light, specks of shine left out. */
  L: number;
  medianL: number;
  /** Between the quartiles, L*. */
  spread: number;
  a: number;
  b: number;
  chroma: number;
  warm: number;
  glareShare: number;
  /** Its two values part: it holds two tones. */
  mixed: boolean;
  /** It looks lighter than it is by so much: Helmholtz and Kohlrausch. */
  fools: number;
  centre: readonly [number, number];
  /** Too small to keep away from its border. */
  whole: boolean;
}

const BINS = 1001;
const BLOCK_BINS = 201;
const HISTOGRAM_BINS = 50;
const bin = (L: number): number => Math.min(BINS - 1, Math.max(0, Math.round(L * 10)));

/** The value below which a share of a histogram lies; within a bin by its middle. */
export function quantile(histogram: ArrayLike<number>, share: number, perBin = 0.1): number {
  let total = 0;
  for (let i = 0; i < histogram.length; i++) total += histogram[i]!;
  let sum = 0;
  for (let i = 0; i < histogram.length; i++) {
    const next = sum + histogram[i]!;
    if (next >= share * total && histogram[i]! > 0)
      return (i - 0.5 + (share * total - sum) / histogram[i]!) * perBin;
    sum = next;
  }
  return 0;
}

/**
 * A colour of chroma looks lighter than a grey of its L*: Fairchild & Pirrotta (1991), from memory.
 * @returns by how much, L*
 */
export const helmholtzKohlrausch = (L: number, chroma: number, hueDeg: number): number =>
  (2.5 - 0.025 * L) *
  (0.116 * Math.abs(Math.sin((((hueDeg - 90) / 2) * Math.PI) / 180)) + 0.085) *
  chroma;

/** Pixels of a passage that count: away from its border, unless then too few are left. */
function countedOf(
  labels: Labels,
  index: number,
  raster: Raster,
): { at: Int32Array; whole: boolean } {
  const inner = innerPixels(labels, index, raster);
  return inner.length >= LOOKING.leastEroded
    ? { at: inner, whole: false }
    : { at: labels.pixels[index]!, whole: true };
}

/** Of every block of a passage the lightness above which a pixel is a speck of shine. */
function speckLimits(raster: Raster, pixels: Int32Array): (at: number) => number {
  const side = Math.max(4, Math.round(LOOKING.speckBlockMm * raster.pxPerMm));
  const columns = Math.ceil(raster.width / side);
  const blocks = new Map<number, Uint32Array>();
  const blockOf = (at: number) =>
    Math.floor(Math.floor(at / raster.width) / side) * columns +
    Math.floor((at % raster.width) / side);
  for (const at of pixels) {
    const key = blockOf(at);
    let histogram = blocks.get(key);
    if (!histogram) blocks.set(key, (histogram = new Uint32Array(BLOCK_BINS)));
    histogram[Math.min(BLOCK_BINS - 1, Math.max(0, Math.round(raster.L[at]! * 2)))]! += 1;
  }
  const limits = new Map<number, number>();
  blocks.forEach((histogram, key) => {
    const half = 0.5;
    const spread = quantile(histogram, 0.75, half) - quantile(histogram, 0.25, half);
    limits.set(
      key,
      quantile(histogram, 0.5, half) + Math.max(LOOKING.speckL, LOOKING.speckSpreads * spread),
    );
  });
  return (at) => limits.get(blockOf(at)) ?? Infinity;
}

/** The values of a passage; null where it has no pixel. @param index of it in the labels, from 0 */
export function passageValue(raster: Raster, labels: Labels, index: number): PassageValue | null {
  const { at: pixels, whole } = countedOf(labels, index, raster);
  if (pixels.length === 0) return null;
  const limit = speckLimits(raster, pixels);
  let specks = pixels.filter((at) => raster.L[at]! > limit(at)).length / pixels.length;
  const counted =
    specks > 0 && specks < LOOKING.speckMost
      ? pixels.filter((at) => raster.L[at]! <= limit(at))
      : pixels;
  if (specks >= LOOKING.speckMost) specks = 0;
  const histogram = new Uint32Array(BINS);
  let [y, a, b, sx, sy] = [0, 0, 0, 0, 0];
  for (const at of counted) {
    histogram[bin(raster.L[at]!)]! += 1;
    y += raster.Y[at]!;
    a += raster.a[at]!;
    b += raster.b[at]!;
    sx += at % raster.width;
    sy += Math.floor(at / raster.width);
  }
  const n = counted.length;
  [y, a, b] = [y / n, a / n, b / n];
  const L = lightnessOf(y);
  const medianL = quantile(histogram, 0.5);
  const chroma = Math.hypot(a, b);
  const hue = (Math.atan2(b, a) * 180) / Math.PI;
  return {
    id: labels.ids[index]!,
    areaCm2: labels.pixels[index]!.length / raster.pxPerMm ** 2 / 100,
    L,
    medianL,
    spread: quantile(histogram, 0.75) - quantile(histogram, 0.25),
    a,
    b,
    chroma,
    warm: warmthOf([L, a, b]),
    glareShare: specks,
    mixed: Math.abs(L - medianL) > LOOKING.mixedL,
    fools: helmholtzKohlrausch(L, chroma, hue),
    centre: [(sx / n + 0.5) / raster.pxPerMm, (sy / n + 0.5) / raster.pxPerMm],
    whole,
  };
}

/** Of all passages, in the order of the labels; those without a pixel are left out. */
export const passageValues = (raster: Raster, labels: Labels): PassageValue[] =>
  labels.ids.flatMap((_, i) => passageValue(raster, labels, i) ?? []);

/** Lightness of a passage in steps of two L*, as shares of it; specks of shine are in it. */
export function passageHistogram(raster: Raster, labels: Labels, index: number): number[] {
  const { at } = countedOf(labels, index, raster);
  const out = new Array<number>(HISTOGRAM_BINS).fill(0);
  for (const p of at)
    out[Math.min(HISTOGRAM_BINS - 1, Math.max(0, Math.floor(raster.L[p]! / 2)))]! +=
      1 / (at.length || 1);
  return out;
}

/** How much of the range is spent, and by whom. */
export interface Range {
  p005: number;
  p995: number;
  /** Passages in the lightest and the darkest hundredth of the picture, with their part of it. */
  lightest: { id: string; share: number }[];
  darkest: { id: string; share: number }[];
}

/** The ends of the picture's range without specks of shine, and which passages hold them. */
export function rangeOf(raster: Raster, labels: Labels): Range {
  const histogram = new Uint32Array(BINS);
  const hidden = new Uint8Array(raster.L.length);
  // Specks of shine are no lights of the picture.
  labels.ids.forEach((_, i) => {
    const { at } = countedOf(labels, i, raster);
    const limit = speckLimits(raster, at);
    for (const p of at) if (raster.L[p]! > limit(p)) hidden[p] = 1;
  });
  for (let i = 0; i < raster.L.length; i++) if (!hidden[i]) histogram[bin(raster.L[i]!)]! += 1;
  const [low, high] = [quantile(histogram, 0.01), quantile(histogram, 0.99)];
  const owners = (holds: (L: number) => boolean) => {
    const counts = new Map<number, number>();
    let all = 0;
    for (let i = 0; i < raster.L.length; i++) {
      if (hidden[i] || !holds(raster.L[i]!)) continue;
      all += 1;
      const label = labels.map[i]!;
      if (label > 0) counts.set(label, (counts.get(label) ?? 0) + 1);
    }
    return [...counts]
      .map(([label, count]) => ({ id: labels.ids[label - 1]!, share: count / all }))
      .filter((o) => o.share >= LOOKING.ownerLeast)
      .sort((p, q) => q.share - p.share);
  };
  return {
    p005: quantile(histogram, 0.005),
    p995: quantile(histogram, 0.995),
    lightest: owners((L) => L >= high),
    darkest: owners((L) => L <= low),
  };
}
