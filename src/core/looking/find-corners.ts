import { LOOKING } from '@/data/looking';
import { aspectOf, cornerProblem } from './homography';
import type { Photo, Point, Support } from './photo';

/** A line as its normal and its distance from the origin: x nx + y ny = d. */
interface Edge {
  nx: number;
  ny: number;
  d: number;
}

const crossing = (p: Edge, q: Edge): Point | null => {
  const det = p.nx * q.ny - q.nx * p.ny;
  return Math.abs(det) < 1e-6
    ? null
    : [(p.d * q.ny - q.d * p.ny) / det, (p.nx * q.d - q.nx * p.d) / det];
};

/** A photo made small enough to look for lines in, and how the strongest of its channels rises. */
interface Small {
  by: number;
  width: number;
  height: number;
  gx: Float32Array;
  gy: Float32Array;
  rise: Float32Array;
}

function reduced({ data, width: pw, height: ph }: Photo): Small {
  const by = Math.max(1, Math.ceil(Math.max(pw, ph) / LOOKING.findPx));
  const width = Math.floor(pw / by);
  const height = Math.floor(ph / by);
  const planes = [0, 1, 2].map((c) => {
    const plane = new Float32Array(width * height);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        let sum = 0;
        for (let j = 0; j < by; j++)
          for (let i = 0; i < by; i++) sum += data[4 * ((y * by + j) * pw + x * by + i) + c]!;
        plane[y * width + x] = sum / (by * by);
      }
    return plane;
  });
  const gx = new Float32Array(width * height);
  const gy = new Float32Array(width * height);
  const rise = new Float32Array(width * height);
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x;
      for (const p of planes) {
        // Sobel: a little noise is smoothed along the edge.
        const dx =
          (2 * (p[at + 1]! - p[at - 1]!) +
            p[at + 1 - width]! -
            p[at - 1 - width]! +
            p[at + 1 + width]! -
            p[at - 1 + width]!) /
          8;
        const dy =
          (2 * (p[at + width]! - p[at - width]!) +
            p[at + width - 1]! -
            p[at - width - 1]! +
            p[at + width + 1]! -
            p[at - width + 1]!) /
          8;
        const r = Math.hypot(dx, dy);
        if (r > rise[at]!) {
          rise[at] = r;
          gx[at] = dx;
          gy[at] = dy;
        }
      }
    }
  return { by, width, height, gx, gy, rise };
}

const ANGLES = 180;
/** Gradients of a line agree with its normal within so many degrees. */
const SLACK = 2;
/** Lines that lie nearer than this from end to end of the photo, px, are one. */
const APART = 4;
const COS = Float64Array.from({ length: ANGLES }, (_, i) => Math.cos((i * Math.PI) / ANGLES));
const SIN = Float64Array.from({ length: ANGLES }, (_, i) => Math.sin((i * Math.PI) / ANGLES));

/** Where a line is at a place: its x on that row where it stands, its y in that column where it lies. */
const along = ({ nx, ny, d }: Edge, [x, y]: Point): number =>
  Math.abs(nx) > Math.abs(ny) ? (d - y * ny) / nx : (d - x * nx) / ny;

/** The strongest straight lines: votes of the pixels that rise, each for lines across its own gradient (Hough). */
function linesOf({ width, height, gx, gy, rise }: Small, least: number) {
  const reach = Math.ceil(Math.hypot(width, height));
  const span = 2 * reach + 1;
  const votes = new Float32Array(ANGLES * span);
  // What is very strong counts no more than what is strong: a frame must not outvote a picture by its contrast alone.
  const cap = 4 * least;
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x;
      if (rise[at]! < least) continue;
      const normal = (Math.atan2(gy[at]!, gx[at]!) * ANGLES) / Math.PI;
      const weight = Math.min(rise[at]!, cap);
      for (let k = -SLACK; k <= SLACK; k++) {
        const i = (Math.round(normal) + k + 2 * ANGLES) % ANGLES;
        votes[i * span + Math.round(x * COS[i]! + y * SIN[i]!) + reach]! += weight;
      }
    }
  const peaks = Array.from(votes, (v, at) => ({ v, at }))
    .filter(({ v }) => v > 0.1 * cap * Math.min(width, height))
    .sort((p, q) => q.v - p.v);
  const upright: Edge[] = [];
  const level: Edge[] = [];
  for (const { at } of peaks) {
    const i = Math.floor(at / span);
    const line: Edge = { nx: COS[i]!, ny: SIN[i]!, d: (at % span) - reach };
    const stands = Math.abs(line.nx) > Math.SQRT1_2;
    const into = stands ? upright : level;
    if (into.length >= LOOKING.findLines) continue;
    // Two that run as one through the whole photo are one; two that only meet on it are not.
    const ends: Point[] = stands
      ? [
          [0, 0],
          [0, height],
        ]
      : [
          [0, 0],
          [width, 0],
        ];
    const known = into.some((other) =>
      ends.every((end) => Math.abs(along(other, end) - along(line, end)) <= APART),
    );
    if (!known) into.push(line);
    if (upright.length + level.length >= 2 * LOOKING.findLines) break;
  }
  return { upright, level };
}

/** The share of a side along which the photo rises across it. */
function heldBy({ width, height, gx, gy }: Small, p: Point, q: Point, least: number): number {
  const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
  const length = Math.hypot(dx, dy);
  const [nx, ny] = [-dy / length, dx / length];
  const count = 48;
  let held = 0;
  for (let k = 0; k < count; k++) {
    const t = 0.04 + (0.92 * (k + 0.5)) / count;
    const holds = [-2, -1, 0, 1, 2].some((off) => {
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

const PHOTO_EDGE = 0.02;

/**
 * Where the corners of a picture on a support of this size probably are, px: four straight lines whose rectangle has the
 * support's proportions and along which the photo rises. A proposal, never taken without being looked at: a wall as
 * light as the picture, a frame or the side face of the stretcher are the usual wrong answers.
 * @returns in the order of the photo as it lies, upper left first; null where nothing stands out
 */
export function proposeCorners(photo: Photo, support: Support): Point[] | null {
  const small = reduced(photo);
  const { width, height, by } = small;
  const sorted = Float32Array.from(small.rise).sort();
  const least = Math.max(
    LOOKING.findRise,
    LOOKING.findRiseShare * sorted[Math.floor(0.98 * (sorted.length - 1))]!,
  );
  const { upright, level } = linesOf(small, least);
  const stated = support.widthMm / support.heightMm;
  const centre: Point = [width / 2, height / 2];
  const inside = ([x, y]: Point) =>
    x > -PHOTO_EDGE * width &&
    y > -PHOTO_EDGE * height &&
    x < (1 + PHOTO_EDGE) * width &&
    y < (1 + PHOTO_EDGE) * height;
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
          if (best && fits * area ** 0.25 <= best.score) continue;
          const held = [0, 1, 2, 3].map((k) => heldBy(small, quad[k]!, quad[(k + 1) % 4]!, least));
          const mean = held.reduce((s, h) => s + h, 0) / 4;
          const score = mean * Math.min(...held) * fits * area ** 0.25;
          if (score > (best?.score ?? LOOKING.findScore)) best = { corners: quad, score };
        }
  return (
    best &&
    snapCorners(
      photo,
      best.corners.map(([x, y]): Point => [x * by, y * by]),
    ).corners
  );
}

export interface Snapped {
  corners: Point[];
  /** Of each side, from the upper one as a clock goes, the share of its places that lie on one line. */
  agreed: number[];
  /** Whether every side was found: else the corners of that side stay where they were. */
  found: boolean;
}

const NORMALS = 100;
const STEP_PX = 0.5;
const SOFT = 4;

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
  if (places.length < 8) return null;
  const near = (e: Edge) =>
    places.filter(([x, y]) => Math.abs(x * e.nx + y * e.ny - e.d) < LOOKING.findAgreePx);
  const some = places.filter((_, i) => i % Math.ceil(places.length / 24) === 0);
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
  for (let round = 0; round < 3 && most.length >= 8; round++) {
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
      const t = 0.03 + (0.94 * (k + 0.5)) / NORMALS;
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
