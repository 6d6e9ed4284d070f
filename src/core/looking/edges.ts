import { LOOKING } from '@/data/looking';
import type { EdgeKind } from './edge-kinds';
import type { Labels } from './passages';
import type { Raster } from './photo';

export interface EdgeFound {
  a: string;
  b: string;
  lengthMm: number;
  /** From a tenth to nine tenths of the step, mm, the blur of the photo taken out: median and quartiles. */
  widthMm: number;
  quartilesMm: [number, number];
  /** The photo cannot tell it finer. */
  atMost: boolean;
  /** Share of its length on which the two hardly differ. */
  lostShare: number;
  kind: EdgeKind;
  /** Difference of lightness and of colour across it. */
  dL: number;
  dab: number;
}

/** Widths at which classes part, mm, as they are seen from a distance: 1 minute of arc is 0.291 mm per metre. */
export const classLimits = (distanceM = LOOKING.viewM): [number, number, number] => {
  const mm = (minutes: number) => Math.tan(((minutes / 60) * Math.PI) / 180) * distanceM * 1000;
  return [mm(LOOKING.hardMin), mm(LOOKING.firmMin), mm(LOOKING.softMin)];
};

/** The class of a border of a width, mm, as it is seen from a distance, m. */
export const kindOf = (widthMm: number, distanceM = LOOKING.viewM): EdgeKind => {
  const [hard, firm, soft] = classLimits(distanceM);
  return widthMm < hard ? 'hard' : widthMm < firm ? 'firm' : widthMm < soft ? 'soft' : 'lost';
};

const medianOf = (values: readonly number[]): number => {
  const sorted = [...values].sort((p, q) => p - q);
  return sorted[Math.floor((sorted.length - 1) / 2)]!;
};
const quartile = (sorted: readonly number[], share: number): number =>
  sorted[Math.round((sorted.length - 1) * share)]!;

/**
 * The width of a step, from a tenth to nine tenths, in samples; null where its ends do not differ. The ends are medians
 * of the outer sixths, which what a phone adds by sharpening does not reach.
 */
export function stepWidth(profile: readonly number[]): { width: number; rise: number } | null {
  const sixth = Math.max(1, Math.floor(profile.length / 6));
  const low = medianOf(profile.slice(0, sixth));
  const high = medianOf(profile.slice(-sixth));
  const rise = high - low;
  if (rise === 0) return null;
  const t = profile.map((v) => (v - low) / rise);
  // Out from the middle: the crossing of a half that lies nearest to it.
  const cross = (from: number, by: 1 | -1, level: number): number => {
    for (let i = from; i + by >= 0 && i + by < t.length; i += by) {
      const [p, q] = [t[i]!, t[i + by]!];
      if ((p - level) * (q - level) <= 0 && p !== q) return i + (by * (level - p)) / (q - p);
    }
    return by === 1 ? t.length - 1 : 0;
  };
  const mid = (t.length - 1) / 2;
  let half = -1;
  for (let i = 0; i + 1 < t.length; i++)
    if (t[i]! < 0.5 && t[i + 1]! >= 0.5 && (half < 0 || Math.abs(i - mid) < Math.abs(half - mid)))
      half = i;
  if (half < 0) return null;
  return { width: cross(half + 1, 1, 0.9) - cross(half, -1, 0.1), rise };
}

const bilinear = (
  plane: Float32Array,
  width: number,
  height: number,
  x: number,
  y: number,
): number => {
  const fx = Math.min(width - 1.001, Math.max(0, x));
  const fy = Math.min(height - 1.001, Math.max(0, y));
  const ix = fx | 0;
  const iy = fy | 0;
  const tx = fx - ix;
  const ty = fy - iy;
  const at = iy * width + ix;
  return (
    plane[at]! * (1 - tx) * (1 - ty) +
    plane[at + 1]! * tx * (1 - ty) +
    plane[at + width]! * (1 - tx) * ty +
    plane[at + width + 1]! * tx * ty
  );
};

interface Site {
  x: number;
  y: number;
  nx: number;
  ny: number;
}

/**
 * Where two passages meet, with the way from the one into the other: by which side of a small window holds more of each.
 */
function sitesOf(
  labels: Labels,
  { width, height, pxPerMm }: Raster,
  one: number,
  two: number,
): Site[] {
  const apart = Math.max(1, Math.round(LOOKING.edgeStepMm * pxPerMm));
  const window = Math.max(3, Math.round(2.5 * pxPerMm));
  const gap = Math.max(1, Math.round(2 * pxPerMm));
  const taken = new Set<number>();
  const sites: Site[] = [];
  const add = (x: number, y: number): void => {
    const cell = Math.floor(y / apart) * Math.ceil(width / apart) + Math.floor(x / apart);
    if (taken.has(cell)) return;
    taken.add(cell);
    let [ax, ay, an, bx, by, bn] = [0, 0, 0, 0, 0, 0];
    const [top, foot] = [Math.max(0, y - window), Math.min(height - 1, y + window)];
    const [left, right] = [Math.max(0, x - window), Math.min(width - 1, x + window)];
    for (let j = top; j <= foot; j++)
      for (let i = left; i <= right; i++) {
        const label = labels.map[j * width + i];
        if (label === one) {
          ax += i;
          ay += j;
          an += 1;
        } else if (label === two) {
          bx += i;
          by += j;
          bn += 1;
        }
      }
    if (an === 0 || bn === 0) return;
    const nx = bx / bn - ax / an;
    const ny = by / bn - ay / an;
    const length = Math.hypot(nx, ny);
    if (length > 0) sites.push({ x, y, nx: nx / length, ny: ny / length });
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const here = labels.map[y * width + x];
      if (here !== one && here !== two) continue;
      const other = here === one ? two : one;
      for (let k = 1; k <= gap; k++) {
        if (x + k < width) {
          const right = labels.map[y * width + x + k];
          if (right === other) {
            add(x + (k >> 1), y);
            break;
          }
          if (right !== 0) break;
        }
      }
      for (let k = 1; k <= gap; k++) {
        if (y + k < height) {
          const down = labels.map[(y + k) * width + x];
          if (down === other) {
            add(x, y + (k >> 1));
            break;
          }
          if (down !== 0) break;
        }
      }
    }
  return sites;
}

/** A profile laid on another by the shift at which they differ least. */
function bestShift(profile: readonly number[], on: readonly number[], most: number): number {
  let best = 0;
  let least = Infinity;
  for (let shift = -most; shift <= most; shift++) {
    let sum = 0;
    let n = 0;
    for (let i = 0; i < on.length; i++) {
      const v = profile[i + shift];
      if (v === undefined) continue;
      sum += (v - on[i]!) ** 2;
      n += 1;
    }
    if (n > on.length / 2 && sum / n < least) [least, best] = [sum / n, shift];
  }
  return best;
}

/** Profiles in groups, each laid on its first before they are averaged: a border drawn by hand wanders. */
function grouped(profiles: readonly number[][], most: number): number[][] {
  const out: number[][] = [];
  for (let i = 0; i < profiles.length; i += LOOKING.edgeGroup) {
    const group = profiles.slice(i, i + LOOKING.edgeGroup);
    const on = group[Math.floor(group.length / 2)]!;
    const sum = new Array<number>(on.length).fill(0);
    const n = new Array<number>(on.length).fill(0);
    for (const profile of group) {
      const shift = profile === on ? 0 : bestShift(profile, on, most);
      for (let k = 0; k < on.length; k++) {
        const v = profile[k + shift];
        if (v === undefined) continue;
        sum[k]! += v;
        n[k]! += 1;
      }
    }
    out.push(sum.map((s, k) => (n[k]! > 0 ? s / n[k]! : on[k]!)));
  }
  return out;
}

/**
 * The steepest step of a profile, within a window that just holds it: a form that turns, or a grade inside a passage, is
 * not its border. Null where nothing rises.
 * @param wander how far from the middle the step may lie, samples
 * @param least half of the smallest window, samples
 */
export function steepest(
  profile: readonly number[],
  wander: number,
  least: number,
): { width: number; rise: number; from: number; to: number } | null {
  const mid = (profile.length - 1) / 2;
  const half = Math.max(1, Math.round(least / 3));
  let centre = mid;
  let most = 0;
  for (
    let i = Math.max(half, Math.ceil(mid - wander));
    i <= Math.min(profile.length - 1 - half, mid + wander);
    i++
  ) {
    const slope = Math.abs(profile[i + half]! - profile[i - half]!);
    if (slope > most) [most, centre] = [slope, i];
  }
  let found: { width: number; rise: number; from: number; to: number } | null = null;
  for (let reach = least; ; reach = Math.ceil(reach * 1.4)) {
    const from = Math.max(0, Math.round(centre - reach));
    const to = Math.min(profile.length - 1, Math.round(centre + reach));
    const step = stepWidth(profile.slice(from, to + 1));
    if (step) found = { ...step, from, to };
    // The window holds it where its flat ends lie outside the step.
    if (step && reach >= LOOKING.edgeWindow * step.width) break;
    if (from === 0 && to === profile.length - 1) break;
  }
  return found;
}

/**
 * The border of two passages: how wide the step between them is.
 * @param blurMm the photo's own blur, from a tenth to nine tenths
 * @returns null where they do not meet
 */
export function edgeOf(
  raster: Raster,
  labels: Labels,
  a: string,
  b: string,
  blurMm: number,
  distanceM = LOOKING.viewM,
): EdgeFound | null {
  const [one, two] = [labels.ids.indexOf(a) + 1, labels.ids.indexOf(b) + 1];
  const sites = sitesOf(labels, raster, one, two);
  if (sites.length === 0) return null;
  const { width, height, pxPerMm } = raster;
  let narrow = Infinity;
  for (const label of [one, two]) {
    let deepest = 0;
    for (let i = 0; i < labels.map.length; i++)
      if (labels.map[i] === label && labels.inside[i]! > deepest) deepest = labels.inside[i]!;
    narrow = Math.min(narrow, (2 * deepest) / pxPerMm);
  }
  const reach = Math.min(LOOKING.edgeReachMm, LOOKING.edgeReachShare * narrow);
  const step = Math.max(LOOKING.edgeSampleMm, 0.2 / pxPerMm);
  const n = Math.max(6, Math.round(reach / step));
  const across = (plane: Float32Array, { x, y, nx, ny }: Site): number[] =>
    Array.from({ length: 2 * n + 1 }, (_, k) => {
      const d = (k - n) * step * pxPerMm;
      return bilinear(plane, width, height, x + nx * d, y + ny * d);
    });
  const profiles = sites.map((site) => across(raster.L, site));
  const most = Math.round(LOOKING.edgeWanderMm / step);
  const widths: number[] = [];
  const rises: number[] = [];
  const falls: [number, number][] = [];
  let lost = 0;
  const groups = grouped(profiles, most);
  groups.forEach((profile, g) => {
    const found = steepest(profile, most, Math.round(LOOKING.edgeLeastReachMm / step));
    const site = sites[Math.min(sites.length - 1, g * LOOKING.edgeGroup + LOOKING.edgeGroup / 2)]!;
    if (!found) return (lost += 1);
    rises.push(found.rise);
    // Colour is read where lightness has its ends, on the middle profile of the group.
    const colourAt = (plane: Float32Array, k: number): number => {
      const d = (k - n) * step * pxPerMm;
      return bilinear(plane, width, height, site.x + site.nx * d, site.y + site.ny * d);
    };
    falls.push([
      colourAt(raster.a, found.to) - colourAt(raster.a, found.from),
      colourAt(raster.b, found.to) - colourAt(raster.b, found.from),
    ]);
    if (Math.abs(found.rise) < LOOKING.edgeLostL) lost += 1;
    else widths.push(found.width * step);
    return undefined;
  });
  const dL = rises.length > 0 ? medianOf(rises) : 0;
  const dab =
    falls.length > 0
      ? Math.hypot(medianOf(falls.map((f) => f[0])), medianOf(falls.map((f) => f[1])))
      : 0;
  const lostShare = lost / groups.length;
  const sorted = widths
    .map((w) => Math.sqrt(Math.max(0, w * w - blurMm * blurMm)))
    .sort((p, q) => p - q);
  const raw = widths.length > 0 ? medianOf(widths) : 0;
  const atMost = widths.length > 0 && raw < LOOKING.edgeBlurMost * blurMm;
  const widthMm = widths.length === 0 ? 0 : atMost ? raw : quartile(sorted, 0.5);
  return {
    a,
    b,
    lengthMm: (sites.length * Math.max(1, Math.round(LOOKING.edgeStepMm * pxPerMm))) / pxPerMm,
    widthMm,
    quartilesMm: widths.length === 0 ? [0, 0] : [quartile(sorted, 0.25), quartile(sorted, 0.75)],
    atMost,
    lostShare,
    kind: lostShare > 0.5 || widths.length === 0 ? 'lost' : kindOf(widthMm, distanceM),
    dL,
    dab,
  };
}

/** The photo's own blur, mm from a tenth to nine tenths, as its own pixels and the raster's can hold it at best. */
export const leastBlurMm = ({ pxPerMm, photoPx }: Raster): number =>
  // A step sampled by pixels is a ramp of one; the photo's own lens and sharpening make it about two of its own.
  Math.max(0.8, 1.6 / Math.max(photoPx, 0.2)) / pxPerMm;

export interface Pull {
  id: string;
  pull: number;
  value: number;
  colour: number;
  /** The border that adds most: which, and how hard. */
  edge: string | null;
}

/**
 * How much a passage stands out by contrast along its borders: of value, of colour, of chroma. A model of contrast, not
 * of eyes: it knows no faces, no meaning and no middle.
 * @param overChroma by how much each passage is more colourful than the picture
 */
export function pullsOf(
  ids: readonly string[],
  edges: readonly EdgeFound[],
  overChroma: ReadonlyMap<string, number>,
  distanceM = LOOKING.viewM,
): Pull[] {
  const firm = classLimits(distanceM)[1];
  return ids
    .map((id): Pull => {
      const mine = edges.filter((e) => e.a === id || e.b === id);
      const length = mine.reduce((s, e) => s + e.lengthMm, 0);
      let value = 0;
      let colour = 0;
      let edge: string | null = null;
      let most = 0;
      for (const e of mine) {
        const sharp = 1 / (1 + e.widthMm / firm);
        const v = e.lengthMm * Math.abs(e.dL) * sharp;
        const c = e.lengthMm * e.dab * sharp;
        value += v;
        colour += c;
        const part = v + LOOKING.pullColour * c;
        if (part > most) [most, edge] = [part, e.a === id ? e.b : e.a];
      }
      value /= length || 1;
      colour /= length || 1;
      return {
        id,
        value,
        colour,
        edge,
        pull:
          value +
          LOOKING.pullColour * colour +
          LOOKING.pullChroma * Math.max(0, overChroma.get(id) ?? 0),
      };
    })
    .sort((p, q) => q.pull - p.pull);
}
