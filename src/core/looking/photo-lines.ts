import { LOOKING } from '@/data/looking';
import type { Photo, Point } from './photo';

/** Straight lines on a photo: sides of a picture are among them. */

/** A line as its normal and its distance from the origin: x nx + y ny = d. */
export interface Edge {
  nx: number;
  ny: number;
  d: number;
}

/** Where two lines cross; null where they run alongside. */
export const crossing = (p: Edge, q: Edge): Point | null => {
  const det = p.nx * q.ny - q.nx * p.ny;
  return Math.abs(det) < 1e-6
    ? null
    : [(p.d * q.ny - q.d * p.ny) / det, (p.nx * q.d - q.nx * p.d) / det];
};

/** A photo made small enough to look for lines in, and how the strongest of its channels rises. */
export interface Small {
  by: number;
  width: number;
  height: number;
  gx: Float32Array;
  gy: Float32Array;
  rise: Float32Array;
}

/** @param photo coded as it is: nothing is measured by it */
export function reduced({ data, width: pw, height: ph }: Photo): Small {
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
const COS = Float64Array.from({ length: ANGLES }, (_, i) => Math.cos((i * Math.PI) / ANGLES));
const SIN = Float64Array.from({ length: ANGLES }, (_, i) => Math.sin((i * Math.PI) / ANGLES));

/** Where a line is at a place: its x on that row where it stands, its y in that column where it lies. */
export const along = ({ nx, ny, d }: Edge, [x, y]: Point): number =>
  Math.abs(nx) > Math.abs(ny) ? (d - y * ny) / nx : (d - x * nx) / ny;

/** The strongest straight lines: votes of the pixels that rise, each for lines across its own gradient (Hough). */
export function linesOf({ width, height, gx, gy, rise }: Small, least: number) {
  const reach = Math.ceil(Math.hypot(width, height));
  const span = 2 * reach + 1;
  const votes = new Float32Array(ANGLES * span);
  // What is very strong counts no more than what is strong: a frame must not outvote a picture by its contrast alone.
  const cap = LOOKING.findCap * least;
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x;
      if (rise[at]! < least) continue;
      const normal = (Math.atan2(gy[at]!, gx[at]!) * ANGLES) / Math.PI;
      const weight = Math.min(rise[at]!, cap);
      for (let k = -LOOKING.findSlackDeg; k <= LOOKING.findSlackDeg; k++) {
        const i = (Math.round(normal) + k + 2 * ANGLES) % ANGLES;
        votes[i * span + Math.round(x * COS[i]! + y * SIN[i]!) + reach]! += weight;
      }
    }
  const peaks = Array.from(votes, (v, at) => ({ v, at }))
    .filter(({ v }) => v > LOOKING.findVotes * cap * Math.min(width, height))
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
      ends.every((end) => Math.abs(along(other, end) - along(line, end)) <= LOOKING.findApartPx),
    );
    if (!known) into.push(line);
    if (upright.length + level.length >= 2 * LOOKING.findLines) break;
  }
  return { upright, level };
}
