import { supportCorners } from './homography';
import type { Point, Support } from './photo';

/** Where a line from a point, inside or far outside, enters and leaves the support, mm; null where it misses it. */
export function clipRay(
  { widthMm, heightMm }: Support,
  from: Point,
  through: Point,
): { enters: Point; leaves: Point } | null {
  const [dx, dy] = [through[0] - from[0], through[1] - from[1]];
  let [t0, t1] = [-Infinity, Infinity];
  for (const [p, d, most] of [
    [from[0], dx, widthMm],
    [from[1], dy, heightMm],
  ] as const) {
    if (Math.abs(d) < 1e-12) {
      if (p < 0 || p > most) return null;
      continue;
    }
    const [one, two] = [-p / d, (most - p) / d];
    t0 = Math.max(t0, Math.min(one, two));
    t1 = Math.min(t1, Math.max(one, two));
  }
  const start = Math.max(t0, 0);
  if (!(t1 > start)) return null;
  return {
    enters: [from[0] + start * dx, from[1] + start * dy],
    leaves: [from[0] + t1 * dx, from[1] + t1 * dy],
  };
}

export type Side = 'upper' | 'right' | 'lower' | 'left';

/** Where on the edge of the support a point of it lies: the side, and mm along it from its left or upper end. */
export function alongEdge(
  { widthMm, heightMm }: Support,
  [x, y]: Point,
): { side: Side; mm: number } {
  const near: [Side, number, number][] = [
    ['upper', Math.abs(y), x],
    ['lower', Math.abs(y - heightMm), x],
    ['left', Math.abs(x), y],
    ['right', Math.abs(x - widthMm), y],
  ];
  const [side, , mm] = near.reduce((best, one) => (one[1] < best[1] ? one : best));
  return { side, mm };
}

/**
 * Rays from one point at even angles through the support, each by two marks a ruler can make along its edge.
 * @param count rays that meet the picture
 */
export function raysFrom(
  support: Support,
  from: Point,
  count: number,
): { from: { side: Side; mm: number } | null; to: { side: Side; mm: number } }[] {
  const { widthMm, heightMm } = support;
  const within = from[0] >= 0 && from[1] >= 0 && from[0] <= widthMm && from[1] <= heightMm;
  const angles = supportCorners(support).map(([x, y]) => Math.atan2(y - from[1], x - from[0]));
  const mid = Math.atan2(heightMm / 2 - from[1], widthMm / 2 - from[0]);
  const turned = (a: number) => Math.atan2(Math.sin(a - mid), Math.cos(a - mid));
  const low = within ? -Math.PI : Math.min(...angles.map(turned));
  const high = within ? Math.PI : Math.max(...angles.map(turned));
  return Array.from({ length: count }, (_, i) => {
    const angle = mid + low + ((high - low) * (i + 0.5)) / count;
    const hit = clipRay(support, from, [from[0] + Math.cos(angle), from[1] + Math.sin(angle)]);
    return hit
      ? {
          from: within ? null : alongEdge(support, hit.enters),
          to: alongEdge(support, hit.leaves),
        }
      : null;
  }).filter((r) => r !== null);
}

/**
 * Receding lines to a point out of reach, as ticks on the left and right edges, mm from the top: equal steps on the one
 * are equal steps on the other.
 */
export function ticksTo(
  { widthMm, heightMm }: Support,
  [xv, yv]: Point,
  count: number,
): { left: number; right: number }[] {
  const ticks: { left: number; right: number }[] = [];
  for (let i = 0; i <= count; i++) {
    const left = (heightMm * i) / count;
    // On the side of the point itself there is no line to it from the other edge but through it.
    const right = xv === 0 ? yv : left * (1 - widthMm / xv) + (yv * widthMm) / xv;
    ticks.push({ left, right });
  }
  return ticks;
}

/**
 * The point where drawn lines meet, by least squares of distances weighted by length; null where they run level to each
 * other as far as they tell.
 */
export function meetingPoint(lines: readonly (readonly [Point, Point])[]): Point | null {
  let [xx, xy, yy, xc, yc] = [0, 0, 0, 0, 0];
  for (const [[x1, y1], [x2, y2]] of lines) {
    const length = Math.hypot(x2 - x1, y2 - y1);
    if (length === 0) continue;
    const [nx, ny] = [(y1 - y2) / length, (x2 - x1) / length];
    const c = nx * x1 + ny * y1;
    xx += length * nx * nx;
    xy += length * nx * ny;
    yy += length * ny * ny;
    xc += length * nx * c;
    yc += length * ny * c;
  }
  const det = xx * yy - xy * xy;
  if (!(det > 1e-9 * (xx + yy) ** 2)) return null;
  return [(yy * xc - xy * yc) / det, (xx * yc - xy * xc) / det];
}

/** Things at even distances in depth along a line: how far from the vanishing point the next ones stand. */
export function nextInDepth(first: number, second: number, count: number): number[] {
  const step = 1 / second - 1 / first;
  return Array.from({ length: count }, (_, i) => 1 / (1 / second + (i + 1) * step));
}
