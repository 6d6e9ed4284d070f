import { LOOKING } from '@/data/looking';

/** What the painter wants of a passage that differs from the design: lighter or darker by so much L*, or anything. */
export type Departure = { L: number } | 'free';

/** A passage in the design and on the work. */
export interface Pair {
  id: string;
  designL: number;
  workL: number;
  departure?: Departure;
}

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((p, q) => p - q);
  const mid = sorted.length >> 1;
  return sorted.length % 2 ? sorted[mid]! : (sorted[mid - 1]! + sorted[mid]!) / 2;
};

/** What a passage should be, L* of the design with what the painter means to change; null where anything goes. */
export const wantedL = ({ designL, departure }: Pair): number | null =>
  departure === 'free' ? null : designL + (departure?.L ?? 0);

export interface Turned {
  /** Should be the lighter of the two. */
  lighter: string;
  darker: string;
  /** It is darker by so much, L*. */
  byL: number;
  sigmaL: number;
}

export interface Order {
  /** Kendall's tau, ties by threshold; null where one side has no order. No mark: only for comparing two photos. */
  tau: number | null;
  turned: Turned[];
  /** Pairs that the photo cannot tell apart, though the design does. */
  tooClose: { lighter: string; darker: string }[];
  held: number;
}

/**
 * The order of passages by value, pair by pair, beyond the errors.
 * @param sigma of the difference of two passages on the work, L*
 * @param slope of the key: by it turned pairs are put in order
 */
export function orderOf(
  pairs: readonly Pair[],
  sigma: (one: string, two: string) => number,
  slope = 1,
  designSigma = LOOKING.designSigmaL,
): Order {
  const known = pairs.flatMap((p) => {
    const wanted = wantedL(p);
    return wanted === null ? [] : [{ ...p, wanted }];
  });
  let [product, designs, works, held] = [0, 0, 0, 0];
  const turned: (Turned & { short: number })[] = [];
  const tooClose: Order['tooClose'] = [];
  known.forEach((p, i) =>
    known.slice(i + 1).forEach((q) => {
      const meant = p.wanted - q.wanted;
      const is = p.workL - q.workL;
      const sigmaL = sigma(p.id, q.id);
      const error = LOOKING.sure * sigmaL;
      const s = Math.abs(meant) > designSigma ? Math.sign(meant) : 0;
      const t = Math.abs(is) > error ? Math.sign(is) : 0;
      product += s * t;
      designs += s * s;
      works += t * t;
      if (s === 0) return;
      const [lighter, darker] = s > 0 ? [p.id, q.id] : [q.id, p.id];
      if (t === -s)
        turned.push({
          lighter,
          darker,
          byL: Math.abs(is),
          sigmaL,
          short: slope * Math.abs(meant) + Math.abs(is),
        });
      else if (t === 0) tooClose.push({ lighter, darker });
      else held += 1;
    }),
  );
  turned.sort((p, q) => q.short - p.short);
  return {
    tau: designs > 0 && works > 0 ? product / Math.sqrt(designs * works) : null,
    turned: turned.map(({ lighter, darker, byL, sigmaL }) => ({ lighter, darker, byL, sigmaL })),
    tooClose,
    held,
  };
}

export interface Key {
  /** work = intercept + slope * design. */
  slope: number;
  intercept: number;
  /** By how much each passage departs from the key; those that are free are left out. */
  residuals: { id: string; L: number }[];
  /** The whole may only be exposed otherwise: gain moves L* so, for it is affine in L* + 16. */
  mayBeExposure: boolean;
}

/** How far a line misses more than half of the passages, L*: what the others do does not count. */
function missesBy(points: readonly { x: number; y: number }[], slope: number): number {
  const intercept = median(points.map(({ x, y }) => y - slope * x));
  const off = points.map(({ x, y }) => Math.abs(y - intercept - slope * x)).sort((p, q) => p - q);
  return off[Math.floor(points.length / 2)]!;
}

/**
 * The key of the work against the design. Of the slopes of all pairs the one that more than half of the passages lie on
 * best (least median of residuals, Rousseeuw 1984), in doubt the one nearer to 1. Theil and Sen, the median of the
 * slopes, is as good with many passages; of four it is bent by one that departs, and pictures have few. Null under two.
 */
export function keyOf(pairs: readonly Pair[]): Key | null {
  const known = pairs.flatMap((p) => {
    const wanted = wantedL(p);
    return wanted === null ? [] : [{ id: p.id, x: wanted, y: p.workL }];
  });
  if (known.length < 2) return null;
  const slopes = known
    .flatMap((p, i) =>
      known
        .slice(i + 1)
        .flatMap((q) =>
          Math.abs(q.x - p.x) > LOOKING.keyPairL ? [(q.y - p.y) / (q.x - p.x)] : [],
        ),
    )
    .filter((b) => b >= LOOKING.keyLeast && b <= LOOKING.keyMost);
  let slope = 1;
  if (known.length >= LOOKING.keyPassages) {
    const cost = (b: number) => missesBy(known, b) + LOOKING.keyPlain * Math.abs(Math.log(b));
    for (const b of slopes) if (cost(b) < cost(slope)) slope = b;
  }
  const intercept = median(known.map(({ x, y }) => y - slope * x));
  return {
    slope,
    intercept,
    residuals: known.map(({ id, x, y }) => ({ id, L: y - intercept - slope * x })),
    mayBeExposure: Math.abs(intercept - 16 * (slope - 1)) < LOOKING.exposureA,
  };
}

/** How a passage is graded from one side to the other. */
export interface Graded {
  /** 1 where it never turns. */
  monotone: number;
  /** The largest fall below what it had reached, L*, and where, share of the way. */
  reversalL: number;
  reversalAt: number;
  /** The largest distance from the straight way between its ends, L*. */
  fromLineL: number;
  biggestStepL: number;
  /** A step that stands out as a band. */
  banded: boolean;
  /** Isotonic fit of the profile, for drawing. */
  smooth: number[];
}

/** Pool adjacent violators: the nearest row that never falls; Ayer and co-workers (1955). */
export function isotonic(values: readonly number[]): number[] {
  const pools: { sum: number; n: number }[] = [];
  for (const v of values) {
    pools.push({ sum: v, n: 1 });
    while (pools.length > 1) {
      const [p, q] = [pools[pools.length - 2]!, pools[pools.length - 1]!];
      if (p.sum / p.n <= q.sum / q.n) break;
      pools.splice(-2, 2, { sum: p.sum + q.sum, n: p.n + q.n });
    }
  }
  return pools.flatMap(({ sum, n }) => new Array<number>(n).fill(sum / n));
}

/** @param profile L* from one end to the other; turned so that the end is the lighter */
export function gradedOf(profile: readonly number[]): Graded {
  const up = profile[profile.length - 1]! >= profile[0]! ? [...profile] : [...profile].reverse();
  const steps = up.slice(1).map((v, i) => v - up[i]!);
  const total = steps.reduce((s, d) => s + Math.abs(d), 0);
  const [first, last] = [up[0]!, up[up.length - 1]!];
  let top = -Infinity;
  let reversalL = 0;
  let at = 0;
  let fromLineL = 0;
  up.forEach((v, i) => {
    top = Math.max(top, v);
    if (top - v > reversalL) [reversalL, at] = [top - v, i / (up.length - 1)];
    fromLineL = Math.max(fromLineL, Math.abs(v - (first + ((last - first) * i) / (up.length - 1))));
  });
  const biggestStepL = Math.max(0, ...steps);
  return {
    monotone: total > 0 ? Math.abs(last - first) / total : 1,
    reversalL,
    reversalAt: at,
    fromLineL,
    biggestStepL,
    banded:
      biggestStepL > LOOKING.bandL && biggestStepL > (LOOKING.bandSteps * total) / steps.length,
    smooth: isotonic(up),
  };
}
