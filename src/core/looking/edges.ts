import { LOOKING } from '@/data/looking';
import type { EdgeKind } from './edge-kinds';
import { grouped, medianOf, steepest } from './step';
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

const quartile = (sorted: readonly number[], share: number): number =>
  sorted[Math.round((sorted.length - 1) * share)]!;

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
    for (const at of labels.pixels[label - 1]!) deepest = Math.max(deepest, labels.inside[at]!);
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
