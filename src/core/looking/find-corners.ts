import { LOOKING } from '@/data/looking';
import { aspectOf, cornerProblem } from './homography';
import { along, crossing, linesOf, reduced, type Small } from './photo-lines';
import type { Photo, Point, Support } from './photo';
import { inner, snapCorners, type Snapped } from './snap-corners';

/** A side is held where the photo rises within so many px of it. */
const NEAR_PX = [-2, -1, 0, 1, 2];

/** The share of a side along which the photo rises across it. */
function heldBy({ width, height, gx, gy }: Small, p: Point, q: Point, least: number): number {
  const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
  const length = Math.hypot(dx, dy);
  const [nx, ny] = [-dy / length, dx / length];
  const count = LOOKING.findPlaces;
  let held = 0;
  for (let k = 0; k < count; k++) {
    const t = inner((k + 0.5) / count);
    const holds = NEAR_PX.some((off) => {
      const x = Math.round(p[0] + t * dx + off * nx);
      const y = Math.round(p[1] + t * dy + off * ny);
      if (x < 1 || y < 1 || x >= width - 1 || y >= height - 1) return false;
      const at = y * width + x;
      return Math.abs(gx[at]! * nx + gy[at]! * ny) > least;
    });
    if (holds) held += 1;
  }
  return held / count;
}

/**
 * Where the corners of a picture on a support of this size probably are, px: four straight lines whose rectangle has the
 * support's proportions and along which the photo rises. A proposal, never taken without being looked at: a wall as
 * light as the picture, a frame or the side face of the stretcher are the usual wrong answers.
 * @returns in the order of the photo as it lies, upper left first; null where nothing stands out
 */
export function proposeCorners(photo: Photo, support: Support): Snapped | null {
  const small = reduced(photo);
  const { width, height, by } = small;
  const sorted = Float32Array.from(small.rise).sort();
  const least = Math.max(
    LOOKING.findRise,
    LOOKING.findRiseShare * sorted[Math.floor(LOOKING.findStrong * (sorted.length - 1))]!,
  );
  const { upright, level } = linesOf(small, least);
  const stated = support.widthMm / support.heightMm;
  const centre: Point = [width / 2, height / 2];
  const inside = ([x, y]: Point) =>
    x > -LOOKING.findOutside * width &&
    y > -LOOKING.findOutside * height &&
    x < (1 + LOOKING.findOutside) * width &&
    y < (1 + LOOKING.findOutside) * height;
  const across = [...upright].sort((p, q) => along(p, centre) - along(q, centre));
  const down = [...level].sort((p, q) => along(p, centre) - along(q, centre));
  let best: { corners: Point[]; score: number } | null = null;
  for (const [i, left] of across.entries())
    for (const right of across.slice(i + 1))
      for (const [j, upper] of down.entries())
        for (const lower of down.slice(j + 1)) {
          const corners = [
            crossing(left, upper),
            crossing(right, upper),
            crossing(right, lower),
            crossing(left, lower),
          ];
          if (corners.some((c) => c === null || !inside(c))) continue;
          const quad = corners as Point[];
          if (cornerProblem(quad.map(([x, y]): Point => [x * by, y * by])) !== null) continue;
          const side = (k: number) =>
            Math.hypot(quad[(k + 1) % 4]![0] - quad[k]![0], quad[(k + 1) % 4]![1] - quad[k]![1]);
          const area = ((side(0) + side(2)) * (side(1) + side(3))) / 4 / (width * height);
          if (area < LOOKING.findArea) continue;
          const seen = aspectOf(quad, centre)?.aspect ?? (side(0) + side(2)) / (side(1) + side(3));
          const off = Math.log(seen / stated) / LOOKING.findAspect;
          const fits = Math.exp((-off * off) / 2);
          if (best && fits * area ** LOOKING.findAreaPower <= best.score) continue;
          const held = [0, 1, 2, 3].map((k) => heldBy(small, quad[k]!, quad[(k + 1) % 4]!, least));
          const mean = held.reduce((s, h) => s + h, 0) / 4;
          const score = mean * Math.min(...held) * fits * area ** LOOKING.findAreaPower;
          if (score > (best?.score ?? LOOKING.findScore)) best = { corners: quad, score };
        }
  return (
    best &&
    snapCorners(
      photo,
      best.corners.map(([x, y]): Point => [x * by, y * by]),
    )
  );
}
