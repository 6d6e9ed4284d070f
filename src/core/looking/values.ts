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
const bin = (L: number): number => (L <= 0 ? 0 : L >= 100 ? BINS - 1 : (L * 10 + 0.5) | 0);

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

/** Of pixels of a passage those that are specks of shine: far above the others of their block. */
function specksOf({ width, height, L, pxPerMm }: Raster, pixels: Int32Array): Uint8Array {
  const side = Math.max(4, Math.round(LOOKING.speckBlockMm * pxPerMm));
  const columns = Math.ceil(width / side);
  const histograms = new Array<Uint32Array | undefined>(columns * Math.ceil(height / side));
  const blocks = new Int32Array(pixels.length);
  for (let i = 0; i < pixels.length; i++) {
    const at = pixels[i]!;
    const row = (at / width) | 0;
    const block = ((row / side) | 0) * columns + (((at - row * width) / side) | 0);
    blocks[i] = block;
    const half = (L[at]! * 2 + 0.5) | 0;
    (histograms[block] ??= new Uint32Array(BLOCK_BINS))[
      half < 0 ? 0 : half >= BLOCK_BINS ? BLOCK_BINS - 1 : half
    ]! += 1;
  }
  const limits = Float32Array.from(histograms, (histogram) => {
    if (!histogram) return Infinity;
    const at = (share: number) => quantile(histogram, share, 0.5);
    return at(0.5) + Math.max(LOOKING.speckL, LOOKING.speckSpreads * (at(0.75) - at(0.25)));
  });
  const out = new Uint8Array(pixels.length);
  for (let i = 0; i < pixels.length; i++) if (L[pixels[i]!]! > limits[blocks[i]!]!) out[i] = 1;
  return out;
}

/** What counts of a passage, and its specks: worked out once for a raster and its labels. */
interface Counted {
  at: Int32Array;
  whole: boolean;
  specks: Uint8Array;
}
const counted = new WeakMap<Raster, WeakMap<Labels, Map<number, Counted>>>();
function countedWithSpecks(raster: Raster, labels: Labels, index: number): Counted {
  const ofRaster = counted.get(raster) ?? new WeakMap<Labels, Map<number, Counted>>();
  counted.set(raster, ofRaster);
  const ofLabels = ofRaster.get(labels) ?? new Map<number, Counted>();
  ofRaster.set(labels, ofLabels);
  const known = ofLabels.get(index);
  if (known) return known;
  const some = countedOf(labels, index, raster);
  const made = { ...some, specks: specksOf(raster, some.at) };
  ofLabels.set(index, made);
  return made;
}

/** The values of a passage; null where it has no pixel. @param index of it in the labels, from 0 */
export function passageValue(raster: Raster, labels: Labels, index: number): PassageValue | null {
  const { at: pixels, whole, specks } = countedWithSpecks(raster, labels, index);
  if (pixels.length === 0) return null;
  let shining = 0;
  for (let i = 0; i < specks.length; i++) shining += specks[i]!;
  // More is no speck: then all of it counts.
  const leaveOut = shining < LOOKING.speckMost * pixels.length;
  const histogram = new Uint32Array(BINS);
  let [y, a, b, sx, sy, n] = [0, 0, 0, 0, 0, 0];
  const { width } = raster;
  for (let i = 0; i < pixels.length; i++) {
    if (leaveOut && specks[i]) continue;
    const at = pixels[i]!;
    const row = (at / width) | 0;
    histogram[bin(raster.L[at]!)]! += 1;
    y += raster.Y[at]!;
    a += raster.a[at]!;
    b += raster.b[at]!;
    sx += at - row * width;
    sy += row;
    n += 1;
  }
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
    glareShare: leaveOut ? shining / pixels.length : 0,
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
  // Specks of shine are no lights of the picture; along the border of a passage they cannot be told from its neighbour.
  for (let i = 0; i < hidden.length; i++) hidden[i] = labels.map[i]! > 0 ? 1 : 0;
  labels.ids.forEach((_, i) => {
    const { at, specks } = countedWithSpecks(raster, labels, i);
    for (let k = 0; k < at.length; k++) hidden[at[k]!] = specks[k]!;
  });
  for (let i = 0; i < raster.L.length; i++) if (!hidden[i]) histogram[bin(raster.L[i]!)]! += 1;
  const [low, high] = [quantile(histogram, 0.01), quantile(histogram, 0.99)];
  const lights = new Int32Array(labels.ids.length + 1);
  const darks = new Int32Array(labels.ids.length + 1);
  let [light, dark] = [0, 0];
  for (let i = 0; i < raster.L.length; i++) {
    const L = raster.L[i]!;
    if ((L < high && L > low) || hidden[i]) continue;
    const label = labels.map[i]!;
    if (L >= high) {
      light += 1;
      lights[label]! += 1;
    }
    if (L <= low) {
      dark += 1;
      darks[label]! += 1;
    }
  }
  const owners = (counts: Int32Array, all: number) =>
    labels.ids
      .map((id, i) => ({ id, share: counts[i + 1]! / all }))
      .filter((o) => o.share >= LOOKING.ownerLeast)
      .sort((p, q) => q.share - p.share);
  return {
    p005: quantile(histogram, 0.005),
    p995: quantile(histogram, 0.995),
    lightest: owners(lights, light),
    darkest: owners(darks, dark),
  };
}
