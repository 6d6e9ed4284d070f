import { LOOKING } from '@/data/looking';
import { cornerProblem } from './homography';
import { crossing, type Edge } from './photo-lines';
import type { Photo, Point } from './photo';

/** A place along a side, share of it, away from its ends: there the next side begins. */
export const inner = (t: number): number => LOOKING.findSideEnd + (1 - 2 * LOOKING.findSideEnd) * t;

export interface Snapped {
  corners: Point[];
  /** Of each side, from the upper one as a clock goes, the share of its places that lie on one line. */
  agreed: number[];
  /** Whether every side was found: else the corners of that side stay where they were. */
  found: boolean;
}

const NORMALS = LOOKING.findNormals;
const STEP_PX = LOOKING.findStepPx;
/** Steps on either side that a rise is taken over. */
const SOFT = Math.round(LOOKING.findSoftPx / LOOKING.findStepPx);
/** Fewer places make no line. */
const LEAST_PLACES = 8;
/** Of so many places every pair is tried as a line. */
const TRIED = 24;

/** Where across a side the photo rises most, px from it, with the way the finger was nearest to preferred. */
function steepest(photo: Photo, [x, y]: Point, [nx, ny]: Point, reach: number): number | null {
  const { data, width, height } = photo;
  const count = Math.ceil(reach / STEP_PX);
  const profile: Float64Array[] = [0, 1, 2].map(() => new Float64Array(2 * count + 1));
  for (let k = -count; k <= count; k++) {
    const px = x + k * STEP_PX * nx - 0.5;
    const py = y + k * STEP_PX * ny - 0.5;
    const ix = Math.min(width - 2, Math.max(0, Math.floor(px)));
    const iy = Math.min(height - 2, Math.max(0, Math.floor(py)));
    const [tx, ty] = [Math.min(1, Math.max(0, px - ix)), Math.min(1, Math.max(0, py - iy))];
    const p = 4 * (iy * width + ix);
    for (let c = 0; c < 3; c++)
      profile[c]![k + count] =
        (1 - ty) * ((1 - tx) * data[p + c]! + tx * data[p + 4 + c]!) +
        ty * ((1 - tx) * data[p + 4 * width + c]! + tx * data[p + 4 * width + 4 + c]!);
  }
  const rise = (k: number): number => {
    let sum = 0;
    for (const p of profile) {
      let d = 0;
      for (let i = 1; i <= SOFT; i++) d += p[k + i]! - p[k - i]!;
      sum += (d / SOFT) ** 2;
    }
    return Math.sqrt(sum);
  };
  let best = -1;
  let most = LOOKING.findRise;
  for (let k = SOFT; k <= 2 * count - SOFT; k++) {
    const away = ((k - count) * STEP_PX) / reach;
    const worth = rise(k) * Math.exp(-away * away);
    if (worth > most) [most, best] = [worth, k];
  }
  if (best <= SOFT || best >= 2 * count - SOFT) return null;
  const [a, b, c] = [rise(best - 1), rise(best), rise(best + 1)];
  const bend = a - 2 * b + c;
  return (best - count + (bend < 0 ? (0.5 * (a - c)) / bend : 0)) * STEP_PX;
}

/** The line that most of the places lie on; of least squares across it, over those that do. */
function lineThrough(places: readonly Point[]): { edge: Edge; agreed: number } | null {
  if (places.length < LEAST_PLACES) return null;
  const near = (e: Edge) =>
    places.filter(([x, y]) => Math.abs(x * e.nx + y * e.ny - e.d) < LOOKING.findAgreePx);
  const some = places.filter((_, i) => i % Math.ceil(places.length / TRIED) === 0);
  let most: Point[] = [];
  some.forEach((p, i) =>
    some.slice(i + 1).forEach((q) => {
      const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
      if (length < 1) return;
      const [nx, ny] = [-(q[1] - p[1]) / length, (q[0] - p[0]) / length];
      const agree = near({ nx, ny, d: p[0] * nx + p[1] * ny });
      if (agree.length > most.length) most = agree;
    }),
  );
  let edge: Edge | null = null;
  for (let round = 0; round < 3 && most.length >= LEAST_PLACES; round++) {
    const n = most.length;
    const mx = most.reduce((s, p) => s + p[0], 0) / n;
    const my = most.reduce((s, p) => s + p[1], 0) / n;
    let [xx, xy, yy] = [0, 0, 0];
    for (const [x, y] of most) {
      xx += (x - mx) ** 2;
      xy += (x - mx) * (y - my);
      yy += (y - my) ** 2;
    }
    const along = 0.5 * Math.atan2(2 * xy, xx - yy);
    const [nx, ny] = [-Math.sin(along), Math.cos(along)];
    edge = { nx, ny, d: mx * nx + my * ny };
    most = near(edge);
  }
  return edge && { edge, agreed: most.length / NORMALS };
}

/**
 * Corners that a finger set, moved to where the sides of the picture cross: along each side the photo's steepest step is
 * looked for on a hundred normals, and a line laid through those that agree.
 */
export function snapCorners(photo: Photo, corners: readonly Point[]): Snapped {
  const reach = Math.max(
    LOOKING.findReachPx,
    LOOKING.findReachShare * Math.max(photo.width, photo.height),
  );
  const sides = corners.map((p, i) => {
    const q = corners[(i + 1) % 4]!;
    const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
    const length = Math.hypot(dx, dy);
    const normal: Point = [-dy / length, dx / length];
    const places = Array.from({ length: NORMALS }, (_, k): Point | null => {
      const t = inner((k + 0.5) / NORMALS);
      const at: Point = [p[0] + t * dx, p[1] + t * dy];
      const off = steepest(photo, at, normal, reach);
      return off === null ? null : [at[0] + off * normal[0], at[1] + off * normal[1]];
    }).filter((x) => x !== null);
    const line = lineThrough(places);
    const own: Edge = { nx: normal[0], ny: normal[1], d: p[0] * normal[0] + p[1] * normal[1] };
    return line && line.agreed >= LOOKING.findAgreed
      ? { edge: line.edge, agreed: line.agreed, found: true }
      : { edge: own, agreed: line?.agreed ?? 0, found: false };
  });
  const moved = corners.map((p, i) => crossing(sides[(i + 3) % 4]!.edge, sides[i]!.edge) ?? p);
  const right = cornerProblem(moved) === null;
  return {
    corners: right ? moved : corners.map((p) => p),
    agreed: sides.map((s) => s.agreed),
    found: right && sides.every((s) => s.found),
  };
}
