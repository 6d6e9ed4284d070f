import { LOOKING } from '@/data/looking';
import { luminanceOf } from '../optics/colour';
import { readPatch as patchOf } from '../optics/read-patches';
import { CODE_TO_LINEAR, fromLinear, toLinear } from '../optics/srgb';
import { EVEN, lightAt, type Field } from './field';
import { inverse, project, type Homography } from './homography';
import { STATED_CURVE, type Curve, type Photo, type Point, type Support } from './photo';

/**
 * The way back from the codes of a photo to the light of the picture: first the phone's tone curve, by patches of known
 * lightness, then the light that fell on it. Never the other way round.
 */

/** Patches of a card beside the picture, matt, in its plane and light. */
export interface Patch {
  /** Its corners, px, in order round it. */
  quad: readonly Point[];
  /** CIE L* of it; null where nobody knows. */
  L: number | null;
}

export interface ReadPatch {
  at: Point;
  L: number | null;
  /** Mean of each channel, linear light as the file says. */
  linear: [number, number, number];
  /** A channel is at its end: it says only "beyond". */
  clipped: boolean;
}

/** A patch as the photo has it; null where it holds no pixel. */
export function readPatch(photo: Photo, { quad, L }: Patch): ReadPatch | null {
  const { width, height } = photo;
  const read = patchOf(
    photo,
    quad.map(([x, y]): Point => [x / width, y / height]),
  );
  if (!read) return null;
  return {
    at: [
      quad.reduce((s, p) => s + p[0], 0) / quad.length,
      quad.reduce((s, p) => s + p[1], 0) / quad.length,
    ],
    L,
    linear: read.linear,
    clipped: read.linear.some((v) => 255 * fromLinear(v) >= LOOKING.clippedCode),
  };
}

interface Knot {
  x: number;
  y: number;
}

/** Monotone cubic through knots (Fritsch & Carlson 1980, harmonic mean), straight beyond its ends. */
export function monotone(knots: readonly Knot[]): (x: number) => number {
  const k = [...knots]
    .sort((p, q) => p.x - q.x)
    .filter((p, i, all) => i === 0 || p.x > all[i - 1]!.x + 1e-9);
  const n = k.length;
  const slope = k.slice(1).map((p, i) => (p.y - k[i]!.y) / (p.x - k[i]!.x));
  const d = k.map((_, i) => {
    if (i === 0) return slope[0]!;
    if (i === n - 1) return slope[n - 2]!;
    const [one, two] = [slope[i - 1]!, slope[i]!];
    if (one * two <= 0) return 0;
    const w1 = 2 * (k[i + 1]!.x - k[i]!.x) + (k[i]!.x - k[i - 1]!.x);
    const w2 = k[i + 1]!.x - k[i]!.x + 2 * (k[i]!.x - k[i - 1]!.x);
    return (w1 + w2) / (w1 / one + w2 / two);
  });
  return (x) => {
    if (x <= k[0]!.x) return k[0]!.y + d[0]! * (x - k[0]!.x);
    if (x >= k[n - 1]!.x) return k[n - 1]!.y + d[n - 1]! * (x - k[n - 1]!.x);
    let i = 0;
    while (x > k[i + 1]!.x) i++;
    const h = k[i + 1]!.x - k[i]!.x;
    const t = (x - k[i]!.x) / h;
    return (
      k[i]!.y * (1 + 2 * t) * (1 - t) ** 2 +
      d[i]! * h * t * (1 - t) ** 2 +
      k[i + 1]!.y * t * t * (3 - 2 * t) +
      d[i + 1]! * h * t * t * (t - 1)
    );
  };
}

/**
 * The tone curve of the phone, channel by channel, from patches of known lightness; this balances white at the same time.
 * One or two give a gain, three to five gain and offset, six or more a monotone curve in codes.
 * @param lit how much light fell on each patch, 1 where it is not known
 */
export function curveOf(read: readonly ReadPatch[], lit: readonly number[] = []): Curve {
  const known = read
    .map((patch, i) => ({ patch, y: patch.L === null ? 0 : luminanceOf(patch.L) * (lit[i] ?? 1) }))
    .filter(({ patch }) => patch.L !== null && !patch.clipped);
  if (known.length === 0) return STATED_CURVE;
  return [0, 1, 2].map((c) => {
    const pairs = known.map(({ patch, y }) => ({ x: patch.linear[c]!, y }));
    if (known.length >= LOOKING.curvePatches) {
      const code = (v: number) => 255 * fromLinear(Math.max(0, v));
      const fit = monotone(pairs.map(({ x, y }) => ({ x: code(x), y: code(y) })));
      return Float64Array.from({ length: 256 }, (_, i) => toLinear(Math.max(0, fit(i)) / 255));
    }
    const weigh = (f: (p: Knot) => number) =>
      pairs.reduce((s, p) => s + f(p) / (p.y + LOOKING.patchWeightY), 0);
    const [n, x, y, xx, xy] = [
      weigh(() => 1),
      weigh((p) => p.x),
      weigh((p) => p.y),
      weigh((p) => p.x * p.x),
      weigh((p) => p.x * p.y),
    ];
    const both = known.length >= LOOKING.linearPatches;
    const gain = both ? (n * xy - x * y) / (n * xx - x * x) : xy / xx;
    const offset = both ? (y - gain * x) / n : 0;
    return Float64Array.from(CODE_TO_LINEAR, (v) => Math.max(0, gain * v + offset));
  }) as unknown as Curve;
}

/** Where a patch lies, shares of the support's sides; outside it, as cards do. */
export const placeOf = (h: Homography, { widthMm, heightMm }: Support, at: Point): Point => {
  const [x, y] = project(inverse(h), at);
  return [x / widthMm, y / heightMm];
};

export type FlatBy = 'none' | 'border' | 'turned' | 'board';

/** Tone curve and light of a photo: each is worked out through the other, for a few rounds. */
export function undoPhoto(
  read: readonly ReadPatch[],
  h: Homography,
  support: Support,
  field: ((curve: Curve) => Field) | null,
): { curve: Curve; field: Field } {
  let curve = curveOf(read);
  if (!field) return { curve, field: EVEN };
  let light = EVEN;
  const places = read.map((p) => placeOf(h, support, p.at));
  for (let round = 0; round < 4; round++) {
    light = field(curve);
    curve = curveOf(
      read,
      places.map(([u, v]) => lightAt(light, u, v)),
    );
  }
  return { curve, field: light };
}
