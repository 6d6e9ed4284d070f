import { LOOKING } from '@/data/looking';
import { innerPixels, type Labels } from './passages';
import type { Point, Raster } from './photo';
import { quantile } from './values';

/**
 * The profile of a passage along its grade: medians of so many equal parts of the way, L*. Empty where it is too small.
 * @param along from and to, mm; without it the way on which it changes most, by a plane through its lightness
 */
export function profileOf(
  raster: Raster,
  labels: Labels,
  index: number,
  along: readonly [Point, Point] | null = null,
): number[] {
  const { width, L } = raster;
  const at = innerPixels(labels, index, raster);
  if (at.length < LOOKING.leastEroded) return [];
  let dx: number;
  let dy: number;
  if (along) {
    dx = along[1][0] - along[0][0];
    dy = along[1][1] - along[0][1];
  } else {
    const n = at.length;
    const mx = at.reduce((s, i) => s + (i % width), 0) / n;
    const my = at.reduce((s, i) => s + Math.floor(i / width), 0) / n;
    let [xx, xy, yy, xz, yz] = [0, 0, 0, 0, 0];
    for (const i of at) {
      const x = (i % width) - mx;
      const y = Math.floor(i / width) - my;
      xx += x * x;
      xy += x * y;
      yy += y * y;
      xz += x * L[i]!;
      yz += y * L[i]!;
    }
    const det = xx * yy - xy * xy;
    dx = (xz * yy - yz * xy) / det;
    dy = (yz * xx - xz * xy) / det;
  }
  const length = Math.hypot(dx, dy);
  if (!(length > 0)) return [];
  const place = (i: number) => ((i % width) * dx + Math.floor(i / width) * dy) / length;
  let [low, high] = [Infinity, -Infinity];
  for (const i of at) {
    const p = place(i);
    low = Math.min(low, p);
    high = Math.max(high, p);
  }
  const bins = Array.from({ length: LOOKING.gradeBins }, () => new Uint32Array(1001));
  for (const i of at) {
    const k = Math.min(
      LOOKING.gradeBins - 1,
      Math.floor(((place(i) - low) / (high - low)) * LOOKING.gradeBins),
    );
    bins[k]![Math.min(1000, Math.max(0, Math.round(L[i]! * 10)))]! += 1;
  }
  return bins.filter((b) => b.some((n) => n > 0)).map((b) => quantile(b, 0.5));
}
