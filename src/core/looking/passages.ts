import { LOOKING } from '@/data/looking';
import type { Point, Raster } from './photo';

/** A passage outlined on the support. */
export interface Outlined {
  id: string;
  /** Rings in mm; what lies in an even number of them is a hole. */
  rings: readonly (readonly Point[])[];
  /** Laid over those with less: an object on a cloth needs no hole in the cloth. */
  above?: number;
}

/** Of every pixel the passage, from 1; 0 where none is. */
export interface Labels {
  ids: readonly string[];
  map: Uint8Array;
  /** Of each passage its pixels, row by row. */
  pixels: readonly Int32Array[];
  /** How far each pixel is from the border of its passage, px; a chamfer distance, within 8 %. */
  inside: Float32Array;
}

/** The area of rings, cm2, by the shoelace; holes are taken off by their way round being of no account: even-odd. */
export function areaCm2(rings: readonly (readonly Point[])[]): number {
  const areas = rings.map((ring) =>
    Math.abs(
      ring.reduce((s, [x, y], i) => {
        const [u, v] = ring[(i + 1) % ring.length]!;
        return s + x * v - u * y;
      }, 0) / 2,
    ),
  );
  const [outer = 0, ...holes] = [...areas].sort((p, q) => q - p);
  return (outer - holes.reduce((s, a) => s + a, 0)) / 100;
}

function fill(
  map: Uint8Array,
  width: number,
  height: number,
  rings: readonly (readonly Point[])[],
  scale: number,
  label: number,
): void {
  const edges = rings.flatMap((ring) =>
    ring.map(([x, y], i) => {
      const [u, v] = ring[(i + 1) % ring.length]!;
      return [x * scale, y * scale, u * scale, v * scale] as const;
    }),
  );
  for (let row = 0; row < height; row++) {
    const y = row + 0.5;
    const cuts: number[] = [];
    for (const [x1, y1, x2, y2] of edges)
      if (y1 > y !== y2 > y) cuts.push(((x2 - x1) * (y - y1)) / (y2 - y1) + x1);
    cuts.sort((p, q) => p - q);
    for (let i = 0; i + 1 < cuts.length; i += 2) {
      const from = Math.max(0, Math.ceil(cuts[i]! - 0.5));
      const to = Math.min(width - 1, Math.ceil(cuts[i + 1]! - 0.5) - 1);
      if (to >= from) map.fill(label, row * width + from, row * width + to + 1);
    }
  }
}

/** Chamfer distance to the nearest pixel of another label, or to the edge of the support. */
function insideOf(map: Uint8Array, width: number, height: number): Float32Array {
  const d = new Float32Array(map.length);
  const diagonal = Math.SQRT2;
  // Written out: it is done for each of millions of pixels.
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      const here = map[at];
      let near = (x < width - 1 - x ? x : width - 1 - x) + 0.5;
      const rows = (y < height - 1 - y ? y : height - 1 - y) + 0.5;
      if (rows < near) near = rows;
      if (x > 0) {
        const far = map[at - 1] === here ? d[at - 1]! + 1 : 0.5;
        if (far < near) near = far;
      }
      if (y > 0) {
        const up = at - width;
        let far = map[up] === here ? d[up]! + 1 : 0.5;
        if (far < near) near = far;
        if (x > 0) {
          far = map[up - 1] === here ? d[up - 1]! + diagonal : diagonal / 2;
          if (far < near) near = far;
        }
        if (x < width - 1) {
          far = map[up + 1] === here ? d[up + 1]! + diagonal : diagonal / 2;
          if (far < near) near = far;
        }
      }
      d[at] = near;
    }
  for (let y = height - 1; y >= 0; y--)
    for (let x = width - 1; x >= 0; x--) {
      const at = y * width + x;
      const here = map[at];
      let near = d[at]!;
      if (x < width - 1) {
        const far = map[at + 1] === here ? d[at + 1]! + 1 : 0.5;
        if (far < near) near = far;
      }
      if (y < height - 1) {
        const down = at + width;
        let far = map[down] === here ? d[down]! + 1 : 0.5;
        if (far < near) near = far;
        if (x < width - 1) {
          far = map[down + 1] === here ? d[down + 1]! + diagonal : diagonal / 2;
          if (far < near) near = far;
        }
        if (x > 0) {
          far = map[down - 1] === here ? d[down - 1]! + diagonal : diagonal / 2;
          if (far < near) near = far;
        }
      }
      d[at] = near;
    }
  return d;
}

function pixelsOf(map: Uint8Array, passages: number): Int32Array[] {
  const counts = new Int32Array(passages + 1);
  for (const label of map) counts[label]! += 1;
  const out = Array.from({ length: passages }, (_, i) => new Int32Array(counts[i + 1]!));
  const filled = new Int32Array(passages + 1);
  for (let at = 0; at < map.length; at++) {
    const label = map[at]!;
    if (label > 0) out[label - 1]![filled[label]!++] = at;
  }
  return out;
}

/** Pixels of a passage that lie away from its border; fewer than are worth anything where it is small. */
export const innerPixels = (
  { pixels, inside }: Labels,
  index: number,
  { pxPerMm }: Pick<Raster, 'pxPerMm'>,
): Int32Array => {
  const all = pixels[index]!;
  const least = LOOKING.erodeMm * pxPerMm;
  const out = new Int32Array(all.length);
  let n = 0;
  for (let i = 0; i < all.length; i++) if (inside[all[i]!]! >= least) out[n++] = all[i]!;
  return out.subarray(0, n);
};

/** Which passage every pixel belongs to; later and higher ones lie over the others. */
export function labelsOf(
  { width, height, pxPerMm }: Pick<Raster, 'width' | 'height' | 'pxPerMm'>,
  outlined: readonly Outlined[],
): Labels {
  const map = new Uint8Array(width * height);
  const order = outlined
    .map((o, i) => ({ o, label: i + 1 }))
    .sort((p, q) => (p.o.above ?? 0) - (q.o.above ?? 0));
  for (const { o, label } of order) fill(map, width, height, o.rings, pxPerMm, label);
  return {
    ids: outlined.map((o) => o.id),
    map,
    pixels: pixelsOf(map, outlined.length),
    inside: insideOf(map, width, height),
  };
}

export interface Neighbours {
  a: string;
  b: string;
  lengthMm: number;
}

/** Pairs of passages that face each other within 2 mm, with the length of their border; longest first. */
export function neighboursOf(labels: Labels, { width, height, pxPerMm }: Raster): Neighbours[] {
  const gap = Math.max(1, Math.round(2 * pxPerMm));
  const lengths = new Map<number, number>();
  const n = labels.ids.length + 1;
  const met = (one: number, two: number): void => {
    const key = Math.min(one, two) * n + Math.max(one, two);
    lengths.set(key, (lengths.get(key) ?? 0) + 1);
  };
  const across = (at: number, by: number, left: number): void => {
    const here = labels.map[at]!;
    if (here === 0 || left <= 0) return;
    // Over an empty gap at most, and counted once: from the side that comes first.
    for (let k = 1; k <= Math.min(gap, left); k++) {
      const there = labels.map[at + k * by]!;
      if (there === here) return;
      if (there !== 0) return met(here, there);
    }
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      across(at, 1, width - 1 - x);
      across(at, width, height - 1 - y);
    }
  return (
    [...lengths]
      // Of a slanting border both steps are counted: its length by Cauchy and Crofton is pi/4 of their sum.
      .map(([key, steps]) => ({
        a: labels.ids[Math.floor(key / n) - 1]!,
        b: labels.ids[(key % n) - 1]!,
        lengthMm: (steps * Math.PI) / 4 / pxPerMm,
      }))
      .sort((p, q) => q.lengthMm - p.lengthMm)
  );
}
