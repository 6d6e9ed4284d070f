import { LOOKING } from '@/data/looking';
import { homography, placeSigma, project, supportCorners } from './homography';
import type { Point, Support } from './photo';

/** A point of the drawing: where it belongs on the support, mm, and where it is on the photo, px. */
export interface KeyPoint {
  id: string;
  design: Point;
  photo: Point;
  /** How sure the tap is, px. */
  sigmaPx?: number;
}

export interface Drift {
  /** The whole drawing against the design: larger or smaller, turned (clockwise), moved at the centre of its points. */
  scale: number;
  rotationDeg: number;
  offsetMm: Point;
  points: {
    id: string;
    /** From the design to where it is, mm. */
    moved: Point;
    mm: number;
    /** What is left of it once the whole is taken out. */
    stray: Point;
    strayMm: number;
    sigmaMm: number;
    /** Beyond its error. */
    tells: boolean;
    strays: boolean;
  }[];
}

/** Fewer points tell no whole that could be taken out. */
const WHOLE_FROM = 4;

/**
 * How far a point went, as it is told and drawn: beside the whole where there are points enough to know it, else all of it;
 * null inside its error.
 */
export function driftedBy(drift: Drift, point: Drift['points'][number]): Point | null {
  const whole = drift.points.length >= WHOLE_FROM;
  return (whole ? point.strays : point.tells) ? (whole ? point.stray : point.moved) : null;
}

/** How sure the places on this photo are, mm an axis, corners and taps together; the middle of the points. */
export const placesSigma = ({ points }: Drift): number =>
  points.reduce((s, p) => s + p.sigmaMm, 0) / points.length;

interface Similarity {
  re: number;
  im: number;
  x: number;
  y: number;
}
const apply = ({ re, im, x, y }: Similarity, [px, py]: Point): Point => [
  re * px - im * py + x,
  im * px + re * py + y,
];

/** The similarity of least squares that takes points to points, by complex numbers. */
export function similarity(from: readonly Point[], to: readonly Point[]): Similarity {
  const n = from.length;
  const mean = (points: readonly Point[]): Point => [
    points.reduce((s, p) => s + p[0], 0) / n,
    points.reduce((s, p) => s + p[1], 0) / n,
  ];
  const [f, t] = [mean(from), mean(to)];
  let [re, im, size] = [0, 0, 0];
  from.forEach((p, i) => {
    const [zx, zy] = [p[0] - f[0], p[1] - f[1]];
    const [wx, wy] = [to[i]![0] - t[0], to[i]![1] - t[1]];
    re += zx * wx + zy * wy;
    im += zx * wy - zy * wx;
    size += zx * zx + zy * zy;
  });
  [re, im] = size > 0 ? [re / size, im / size] : [1, 0];
  return { re, im, x: t[0] - re * f[0] + im * f[1], y: t[1] - im * f[0] - re * f[1] };
}

/**
 * The same, not bent by points that strayed: of all pairs the one that most others agree with best, then all that agree.
 */
export function robustSimilarity(
  from: readonly Point[],
  to: readonly Point[],
  sigmaMm: number,
): Similarity {
  if (from.length < 4) return similarity(from, to);
  const off = (s: Similarity) =>
    from.map((p, i) => {
      const [x, y] = apply(s, p);
      return Math.hypot(x - to[i]![0], y - to[i]![1]);
    });
  const inner = Math.ceil(LOOKING.driftInner * from.length);
  let best = similarity(from, to);
  let least = Infinity;
  for (let i = 0; i < from.length; i++)
    for (let j = i + 1; j < from.length; j++) {
      const s = similarity([from[i]!, from[j]!], [to[i]!, to[j]!]);
      const cost = off(s)
        .sort((p, q) => p - q)
        .slice(0, inner)
        .reduce((sum, d) => sum + d, 0);
      if (cost < least) [least, best] = [cost, s];
    }
  const most = Math.max(3 * sigmaMm, 3 * (least / inner), 1e-6);
  const agree = off(best).map((d) => d <= most);
  const some = from.filter((_, i) => agree[i]);
  return some.length >= 2
    ? similarity(
        some,
        to.filter((_, i) => agree[i]),
      )
    : best;
}

/** How far the drawing has drifted. @param cornerSigmaPx of the photo's corners */
export function driftOf(
  corners: readonly Point[],
  support: Support,
  points: readonly KeyPoint[],
  cornerSigmaPx = LOOKING.loupeSigmaPx,
): Drift | null {
  if (points.length === 0) return null;
  const back = homography(corners, supportCorners(support));
  const from = points.map((p) => p.design);
  const to = points.map((p) => project(back, p.photo));
  const sigmas = points.map((p, i) =>
    placeSigma(corners, support, to[i]!, cornerSigmaPx, p.sigmaPx ?? LOOKING.loupeSigmaPx),
  );
  const usual = sigmas.reduce((s, g) => s + Math.hypot(g.x, g.y) / Math.SQRT2, 0) / sigmas.length;
  const split = points.length >= WHOLE_FROM;
  const whole = split ? robustSimilarity(from, to, usual) : { re: 1, im: 0, x: 0, y: 0 };
  const centre: Point = [
    from.reduce((s, p) => s + p[0], 0) / from.length,
    from.reduce((s, p) => s + p[1], 0) / from.length,
  ];
  const at = apply(whole, centre);
  const beyond = ([x, y]: Point, i: number): boolean => {
    const { x: sx, y: sy, xy } = sigmas[i]!;
    const det = sx * sx * sy * sy - xy * xy;
    return (x * x * sy * sy - 2 * x * y * xy + y * y * sx * sx) / det > LOOKING.driftChi;
  };
  return {
    scale: Math.hypot(whole.re, whole.im),
    rotationDeg: (Math.atan2(whole.im, whole.re) * 180) / Math.PI,
    offsetMm: [at[0] - centre[0], at[1] - centre[1]],
    points: points.map((p, i) => {
      const moved: Point = [to[i]![0] - p.design[0], to[i]![1] - p.design[1]];
      const meant = apply(whole, p.design);
      const stray: Point = [to[i]![0] - meant[0], to[i]![1] - meant[1]];
      return {
        id: p.id,
        moved,
        mm: Math.hypot(...moved),
        stray,
        strayMm: Math.hypot(...stray),
        sigmaMm: Math.hypot(sigmas[i]!.x, sigmas[i]!.y) / Math.SQRT2,
        tells: beyond(moved, i),
        strays: beyond(stray, i),
      };
    }),
  };
}

/** Pairs that hang true in the design, and by how much they lean on the work, degrees with their error. */
export function plumbOf(
  points: readonly { id: string; design: Point; work: Point }[],
  sigmaMm: number,
): { a: string; b: string; kind: 'plumb' | 'level'; leanDeg: number; sigmaDeg: number }[] {
  return points.flatMap((p, i) =>
    points.slice(i + 1).flatMap((q) => {
      const [dx, dy] = [q.design[0] - p.design[0], q.design[1] - p.design[1]];
      const plumb = Math.abs(dx) < LOOKING.plumbMm && Math.abs(dy) > 10 * LOOKING.plumbMm;
      const level = Math.abs(dy) < LOOKING.plumbMm && Math.abs(dx) > 10 * LOOKING.plumbMm;
      if (!plumb && !level) return [];
      const [x, y] = [q.work[0] - p.work[0], q.work[1] - p.work[1]];
      const length = Math.hypot(x, y);
      const lean = plumb
        ? Math.atan2(x * Math.sign(y), Math.abs(y))
        : Math.atan2(y * Math.sign(x), Math.abs(x));
      return [
        {
          a: p.id,
          b: q.id,
          kind: plumb ? ('plumb' as const) : ('level' as const),
          leanDeg: (lean * 180) / Math.PI,
          sigmaDeg: (((Math.SQRT2 * sigmaMm) / length) * 180) / Math.PI,
        },
      ];
    }),
  );
}

/** A proportion by dividers: AB over CD, in the design and on the work, and its error there. */
export function proportion(
  ab: number,
  cd: number,
  sigmaMm: number,
): { ratio: number; sigma: number } {
  const ratio = ab / cd;
  return { ratio, sigma: ratio * Math.SQRT2 * sigmaMm * Math.hypot(1 / ab, 1 / cd) };
}
