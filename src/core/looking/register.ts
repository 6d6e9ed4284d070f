import { LOOKING } from '@/data/looking';
import { blurred } from './blur';
import type { Point, Raster } from './photo';

/** How well two photos of one picture lie on each other. */
export interface Registered {
  /** Root mean square over the places that could be compared, mm an axis; null where too few could. */
  rmsMm: number | null;
  /**
   * Of each place its centre, mm, and how far the later photo lies from the earlier there; where a place holds one
   * straight border alone, only across it: along it nothing tells.
   */
  tiles: { at: Point; byMm: Point; axes: 1 | 2 }[];
}

interface Rises {
  width: number;
  height: number;
  rise: Float32Array;
  gx: Float32Array;
  gy: Float32Array;
}

/** How much the lightness rises, on a raster of so many px/mm. */
function risesOf(raster: Raster, pxPerMm: number): Rises {
  const width = Math.round(raster.widthMm * pxPerMm);
  const height = Math.round(raster.heightMm * pxPerMm);
  const soft = blurred(
    raster.L,
    raster.width,
    raster.height,
    Math.max(0, (0.5 * raster.pxPerMm) / pxPerMm),
  );
  const L = new Float32Array(width * height);
  for (let y = 0; y < height; y++) {
    const sy = Math.min(raster.height - 1, Math.floor(((y + 0.5) / height) * raster.height));
    for (let x = 0; x < width; x++)
      L[y * width + x] =
        soft[
          sy * raster.width +
            Math.min(raster.width - 1, Math.floor(((x + 0.5) / width) * raster.width))
        ]!;
  }
  const [rise, gx, gy] = [0, 1, 2].map(() => new Float32Array(width * height)) as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x;
      gx[at] = (L[at + 1]! - L[at - 1]!) / 2;
      gy[at] = (L[at + width]! - L[at - width]!) / 2;
      rise[at] = Math.hypot(gx[at]!, gy[at]!);
    }
  return { width, height, rise, gx, gy };
}

/** Correlation of a tile with the other photo shifted by so many px; null where either is plain. */
function correlation(
  one: Rises,
  two: Rises,
  [x0, y0, side]: readonly [number, number, number],
  dx: number,
  dy: number,
): number | null {
  let [a, b, aa, bb, ab] = [0, 0, 0, 0, 0];
  for (let y = y0; y < y0 + side; y++)
    for (let x = x0; x < x0 + side; x++) {
      const p = one.rise[y * one.width + x]!;
      const q = two.rise[(y + dy) * two.width + x + dx]!;
      a += p;
      b += q;
      aa += p * p;
      bb += q * q;
      ab += p * q;
    }
  const n = side * side;
  const [va, vb] = [aa / n - (a / n) ** 2, bb / n - (b / n) ** 2];
  const least = LOOKING.registerRise ** 2;
  return va < least || vb < least ? null : (ab / n - (a * b) / (n * n)) / Math.sqrt(va * vb);
}

/** The way across the borders of a tile, and whether they run in more than one direction (structure tensor). */
function acrossOf(
  { gx, gy, width }: Rises,
  [x0, y0, side]: readonly [number, number, number],
): { across: Point; both: boolean } {
  let [xx, xy, yy] = [0, 0, 0];
  for (let y = y0; y < y0 + side; y++)
    for (let x = x0; x < x0 + side; x++) {
      const at = y * width + x;
      xx += gx[at]! * gx[at]!;
      xy += gx[at]! * gy[at]!;
      yy += gy[at]! * gy[at]!;
    }
  const angle = 0.5 * Math.atan2(2 * xy, xx - yy);
  const spread = Math.hypot((xx - yy) / 2, xy);
  const mid = (xx + yy) / 2;
  return {
    across: [Math.cos(angle), Math.sin(angle)],
    both: mid - spread > LOOKING.registerTwoWays * (mid + spread),
  };
}

const peak = (before: number, at: number, after: number): number => {
  const bend = before - 2 * at + after;
  return bend < 0 ? (0.5 * (before - after)) / bend : 0;
};

/**
 * How far a later photo lies from an earlier one, tile by tile, after both were brought onto the support by their own
 * corners: the shift at which their borders correlate best, to a part of a pixel. What was painted in between correlates
 * badly and is left out. It tells the quality; nothing is moved by it, for that would hide a drift of the drawing.
 */
export function registered(earlier: Raster, later: Raster): Registered {
  const pxPerMm = Math.min(LOOKING.registerPxPerMm, earlier.pxPerMm, later.pxPerMm);
  const one = risesOf(earlier, pxPerMm);
  const two = risesOf(later, pxPerMm);
  const reach = Math.max(2, Math.round(LOOKING.registerReachMm * pxPerMm));
  const side = Math.floor(
    Math.min(LOOKING.registerTileMm * pxPerMm, (Math.min(one.width, one.height) - 2 * reach) / 2),
  );
  const tiles: Registered['tiles'] = [];
  if (side < 8) return { rmsMm: null, tiles };
  const places = (length: number): number[] => {
    const count = Math.max(2, Math.floor((length - 2 * reach) / side));
    return Array.from({ length: count }, (_, i) =>
      Math.floor(reach + (i * (length - 2 * reach - side)) / (count - 1)),
    );
  };
  for (const y of places(one.height))
    for (const x of places(one.width)) {
      const tile = [x, y, side] as const;
      let best: { dx: number; dy: number; r: number } | null = null;
      for (let dy = -reach; dy <= reach; dy++)
        for (let dx = -reach; dx <= reach; dx++) {
          const r = correlation(one, two, tile, dx, dy);
          if (r !== null && r > (best?.r ?? LOOKING.registerLeast)) best = { dx, dy, r };
        }
      if (!best) continue;
      const { dx, dy, r } = best;
      const by = (i: number, j: number) => correlation(one, two, tile, dx + i, dy + j) ?? 0;
      const moved: Point = [
        (dx + peak(by(-1, 0), r, by(1, 0))) / pxPerMm,
        (dy + peak(by(0, -1), r, by(0, 1))) / pxPerMm,
      ];
      const { across, both } = acrossOf(one, tile);
      const only = moved[0] * across[0] + moved[1] * across[1];
      tiles.push({
        at: [(x + side / 2) / pxPerMm, (y + side / 2) / pxPerMm],
        byMm: both ? moved : [only * across[0], only * across[1]],
        axes: both ? 2 : 1,
      });
    }
  const axes = tiles.reduce((s, t) => s + t.axes, 0);
  return {
    tiles,
    rmsMm:
      tiles.length < LOOKING.registerTiles
        ? null
        : Math.sqrt(tiles.reduce((s, { byMm: [x, y] }) => s + x * x + y * y, 0) / axes),
  };
}
