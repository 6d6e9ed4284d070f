import { Matrix, SVD } from 'ml-matrix';
import { LOOKING } from '@/data/looking';
import { CoreError } from '../errors';
import type { Point, Support } from './photo';

/** A plane seen by a camera: nine figures, row by row. */
export type Homography = readonly number[];

/** Points with their mean at 0 and at a mean distance of root 2 from it, and how they came there (Hartley 1997). */
function normalised(points: readonly Point[]) {
  const n = points.length;
  const mx = points.reduce((s, p) => s + p[0], 0) / n;
  const my = points.reduce((s, p) => s + p[1], 0) / n;
  const mean = points.reduce((s, p) => s + Math.hypot(p[0] - mx, p[1] - my), 0) / n;
  const k = mean > 0 ? Math.SQRT2 / mean : 1;
  return { k, mx, my, points: points.map(([x, y]): Point => [k * (x - mx), k * (y - my)]) };
}

/**
 * The homography that takes points of one plane to points of another: direct linear transform, normalised; exact for
 * four, least squares in the algebraic error for more. Hartley & Zisserman, Multiple View Geometry (2004), from memory.
 * @throws CoreError with fewer than four points, or where three of four lie on a line
 */
export function homography(from: readonly Point[], to: readonly Point[]): Homography {
  if (from.length < 4 || from.length !== to.length)
    throw new CoreError('corners', 'corners', 'Four corners are needed. Set the missing ones.');
  const f = normalised(from);
  const t = normalised(to);
  const rows: number[][] = [];
  f.points.forEach(([x, y], i) => {
    const [u, v] = t.points[i]!;
    rows.push([-x, -y, -1, 0, 0, 0, u * x, u * y, u], [0, 0, 0, -x, -y, -1, v * x, v * y, v]);
  });
  // A ninth row of nothing: the decomposition then gives all nine right vectors.
  if (rows.length < 9) rows.push(new Array<number>(9).fill(0));
  const svd = new SVD(new Matrix(rows), { autoTranspose: true });
  const right = svd.rightSingularVectors;
  const small = svd.diagonal.indexOf(Math.min(...svd.diagonal));
  const h = Array.from({ length: 9 }, (_, i) => right.get(i, small));
  const denormal = new Matrix([
    [1 / t.k, 0, t.mx],
    [0, 1 / t.k, t.my],
    [0, 0, 1],
  ]);
  const normal = new Matrix([
    [f.k, 0, -f.k * f.mx],
    [0, f.k, -f.k * f.my],
    [0, 0, 1],
  ]);
  const H = denormal.mmul(new Matrix([h.slice(0, 3), h.slice(3, 6), h.slice(6)])).mmul(normal);
  const scale = H.get(2, 2);
  if (!(Math.abs(scale) > 1e-12))
    throw new CoreError(
      'corners',
      'corners',
      'Three of the corners lie on a line. Set them again.',
    );
  return H.div(scale).to1DArray();
}

/** Where a point goes. */
export function project(h: Homography, [x, y]: Point): Point {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w];
}

/** The way back. */
export function inverse(h: Homography): Homography {
  const [a, b, c, d, e, f, g, i, j] = h as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const out = [
    e * j - f * i,
    c * i - b * j,
    b * f - c * e,
    f * g - d * j,
    a * j - c * g,
    c * d - a * f,
    d * i - e * g,
    b * g - a * i,
    a * e - b * d,
  ];
  return out.map((v) => v / out[8]!);
}

/** The corners of a support, mm: its own upper left first, then as a clock goes. */
export const supportCorners = ({ widthMm, heightMm }: Support): Point[] => [
  [0, 0],
  [widthMm, 0],
  [widthMm, heightMm],
  [0, heightMm],
];

const turn = (p: Point, q: Point, r: Point): number =>
  (q[0] - p[0]) * (r[1] - q[1]) - (q[1] - p[1]) * (r[0] - q[0]);

/**
 * What is wrong with four corners of a support on a photo, in a painter's words; null where nothing is.
 * @param corners px, the painting's own upper left first, then as a clock goes; any way round the photo lies
 */
export function cornerProblem(corners: readonly Point[]): string | null {
  if (corners.length !== 4) return 'Four corners are needed. Set the missing ones.';
  const turns = corners.map((p, i) => turn(p, corners[(i + 1) % 4]!, corners[(i + 2) % 4]!));
  const area = Math.abs(
    corners.reduce(
      (s, p, i) => s + p[0] * corners[(i + 1) % 4]![1] - corners[(i + 1) % 4]![0] * p[1],
      0,
    ) / 2,
  );
  if (turns.some((t) => Math.abs(t) < 1e-3 * area) || area === 0)
    return 'Three of the corners lie on a line. Set them again.';
  if (turns.some((t) => Math.sign(t) !== Math.sign(turns[0]!)))
    return 'The corners cross each other. Set them in order: upper left, upper right, lower right, lower left.';
  if (turns[0]! < 0)
    return 'The corners run the wrong way round: the picture would be mirrored. Set them in order: upper left, upper right, lower right, lower left.';
  const short = corners.some(
    (p, i) =>
      Math.hypot(corners[(i + 1) % 4]![0] - p[0], corners[(i + 1) % 4]![1] - p[1]) <
      LOOKING.leastSidePx,
  );
  return short ? 'The picture is too small on this photo. Fill the frame with it.' : null;
}

/** The homography from mm on the support to px on the photo. @throws CoreError where the corners cannot be right */
export function seenFrom(corners: readonly Point[], support: Support): Homography {
  const problem = cornerProblem(corners);
  if (problem) throw new CoreError('corners', 'corners', problem);
  return homography(supportCorners(support), corners);
}

/**
 * Width over height of the rectangle behind four corners, and the focal length, px; null where the view is too frontal
 * to tell. Zhang & He, whiteboard scanning (2007), from memory.
 * @param centre of the photo, px
 */
export function aspectOf(
  corners: readonly Point[],
  centre: Point,
): { focalPx: number; aspect: number } | null {
  const unit: Point[] = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ];
  const h = homography(
    unit,
    corners.map(([x, y]): Point => [x - centre[0], y - centre[1]]),
  );
  const [h11, h12, , h21, h22, , h31, h32] = h as number[];
  const below = h31! * h32!;
  const f2 = -(h11! * h12! + h21! * h22!) / below;
  // Where the sides hardly run together the quotient is noise.
  if (!Number.isFinite(f2) || f2 <= 0 || Math.min(Math.abs(h31!), Math.abs(h32!)) < 0.01)
    return null;
  const one = (h11! ** 2 + h21! ** 2) / f2 + h31! ** 2;
  const two = (h12! ** 2 + h22! ** 2) / f2 + h32! ** 2;
  return { focalPx: Math.sqrt(f2), aspect: Math.sqrt(one / two) };
}

/** Whether corners and the stated support belong together; a sentence where they do not. */
export function aspectProblem(
  corners: readonly Point[],
  photo: { width: number; height: number },
  support: Support,
): string | null {
  const seen = aspectOf(corners, [photo.width / 2, photo.height / 2]);
  if (!seen) return null;
  const off = seen.aspect / (support.widthMm / support.heightMm) - 1;
  return Math.abs(off) > LOOKING.aspectTolerance
    ? `Corners and size do not agree: by the corners the picture is ${(seen.aspect * 100).toFixed(0)} to 100, by its size ${((100 * support.widthMm) / support.heightMm).toFixed(0)} to 100. A corner may lie on the frame, or the photo is cropped.`
    : null;
}

/** A step of the differences. */
const SMALL_PX = 0.01;

/** How sure a place on the support is, mm in x and y: first order, from the error of the corners and of the tap. */
export function placeSigma(
  corners: readonly Point[],
  support: Support,
  at: Point,
  cornerSigmaPx: number,
  tapSigmaPx = 0,
): { x: number; y: number; xy: number } {
  const h = seenFrom(corners, support);
  const px = project(h, at);
  const back = (c: readonly Point[], p: Point): Point =>
    project(homography(c, supportCorners(support)), p);
  const base = back(corners, px);
  let xx = 0;
  let yy = 0;
  let xy = 0;
  const add = (moved: Point, sigma: number): void => {
    const dx = ((moved[0] - base[0]) * sigma) / SMALL_PX;
    const dy = ((moved[1] - base[1]) * sigma) / SMALL_PX;
    xx += dx * dx;
    yy += dy * dy;
    xy += dx * dy;
  };
  const step = (p: Point, axis: 0 | 1): Point =>
    axis === 0 ? [p[0] + SMALL_PX, p[1]] : [p[0], p[1] + SMALL_PX];
  for (const axis of [0, 1] as const) {
    for (let i = 0; i < 4; i++)
      add(
        back(
          corners.map((c, j) => (j === i ? step(c, axis) : c)),
          px,
        ),
        cornerSigmaPx,
      );
    add(back(corners, step(px, axis)), tapSigmaPx);
  }
  return { x: Math.sqrt(xx), y: Math.sqrt(yy), xy };
}
