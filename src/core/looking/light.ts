import { Matrix, solve } from 'ml-matrix';
import { LOOKING } from '@/data/looking';
import { FROM_P3, FROM_SRGB } from '../optics/screen';
import { fromLinear, toLinear } from '../optics/srgb';
import { inverse, project, type Homography } from './homography';
import { CODE_TO_LINEAR, type Photo, type Point, type Support } from './photo';

/**
 * The way back from the codes of a photo to the light of the picture: first the phone's tone curve, by patches of known
 * lightness, then the light that fell on it. Never the other way round.
 */

/** Of each channel and code the linear light. */
export type Curve = readonly [Float64Array, Float64Array, Float64Array];
export const STATED_CURVE: Curve = [CODE_TO_LINEAR, CODE_TO_LINEAR, CODE_TO_LINEAR];

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

/** Relative luminance, 0 to 1, of a lightness; CIE 15. */
export const yOfL = (L: number): number => (L > 8 ? ((L + 16) / 116) ** 3 : (L * 27) / 24389);
/** Lightness L* of a relative luminance; CIE 15. */
export const lOfY = (y: number): number =>
  y > 216 / 24389 ? 116 * Math.cbrt(y) - 16 : (y * 24389) / 27;

const inside = (x: number, y: number, quad: readonly Point[]): boolean => {
  let odd = false;
  for (let i = 0, j = quad.length - 1; i < quad.length; j = i++) {
    const [xi, yi] = quad[i]!;
    const [xj, yj] = quad[j]!;
    if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) odd = !odd;
  }
  return odd;
};

/** The inner part of a patch is looked at: so far each corner goes towards the middle. */
const INSET = 0.2;

/** A patch as the photo has it; null where it holds no pixel. */
export function readPatch(photo: Photo, { quad, L }: Patch): ReadPatch | null {
  const at: Point = [
    quad.reduce((s, p) => s + p[0], 0) / quad.length,
    quad.reduce((s, p) => s + p[1], 0) / quad.length,
  ];
  const inner = quad.map(([x, y]): Point => [x + (at[0] - x) * INSET, y + (at[1] - y) * INSET]);
  const xs = inner.map((p) => p[0]);
  const ys = inner.map((p) => p[1]);
  const sums = [0, 0, 0];
  const codes = [0, 0, 0];
  let n = 0;
  for (
    let y = Math.max(0, Math.floor(Math.min(...ys)));
    y < Math.min(photo.height, Math.max(...ys));
    y++
  )
    for (
      let x = Math.max(0, Math.floor(Math.min(...xs)));
      x < Math.min(photo.width, Math.max(...xs));
      x++
    ) {
      if (!inside(x + 0.5, y + 0.5, inner)) continue;
      n += 1;
      for (let c = 0; c < 3; c++) {
        const code = photo.data[4 * (y * photo.width + x) + c]!;
        sums[c]! += CODE_TO_LINEAR[code]!;
        codes[c]! += code;
      }
    }
  if (n === 0) return null;
  return {
    at,
    L,
    linear: sums.map((s) => s / n) as [number, number, number],
    clipped: codes.some((s) => s / n >= LOOKING.clippedCode),
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
    .map((patch, i) => ({ patch, y: patch.L === null ? 0 : yOfL(patch.L) * (lit[i] ?? 1) }))
    .filter(({ patch }) => patch.L !== null && !patch.clipped);
  if (known.length === 0) return STATED_CURVE;
  return [0, 1, 2].map((c) => {
    const pairs = known.map(({ patch, y }) => ({ x: patch.linear[c]!, y }));
    if (known.length >= LOOKING.curvePatches) {
      const code = (v: number) => 255 * fromLinear(Math.max(0, v));
      const fit = monotone(pairs.map(({ x, y }) => ({ x: code(x), y: code(y) })));
      return Float64Array.from({ length: 256 }, (_, i) => toLinear(Math.max(0, fit(i)) / 255));
    }
    const weigh = (f: (p: Knot) => number) => pairs.reduce((s, p) => s + f(p) / (p.y + 0.02), 0);
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

/** How the light falls off over the support: the logarithm of it, as a polynomial of the place, shares of its sides. */
export interface Field {
  terms: readonly (readonly [i: number, j: number])[];
  weights: readonly number[];
}

export const EVEN: Field = { terms: [], weights: [] };

const FAR = 0.2;
const near = (v: number): number => Math.min(1 + FAR, Math.max(-FAR, v)) * 2 - 1;

/** The light at a place, 1 in the mean; beyond the support it is not drawn out without end. */
export function lightAt({ terms, weights }: Field, u: number, v: number): number {
  let log = 0;
  const x = near(u);
  const y = near(v);
  terms.forEach(([i, j], k) => (log += weights[k]! * x ** i * y ** j));
  return Math.exp(log);
}

/** All terms up to a degree; without the constant one, for the mean light is exposure. */
const termsTo = (degree: number, odd = false): (readonly [number, number])[] =>
  Array.from({ length: degree + 1 }, (_, d) =>
    Array.from({ length: d + 1 }, (__, j) => [d - j, j] as const),
  )
    .flat()
    .filter(([i, j]) => i + j > 0 && (!odd || (i + j) % 2 === 1));

/** Samples of the logarithm of light. */
interface Sample {
  u: number;
  v: number;
  log: number;
}

/** Least squares with Huber weights: a spot of paint on the border does not bend the light. */
function fitField(
  samples: readonly Sample[],
  terms: readonly (readonly [number, number])[],
  constant: boolean,
): Field {
  const basis = samples.map(({ u, v }) => {
    const x = u * 2 - 1;
    const y = v * 2 - 1;
    const row = terms.map(([i, j]) => x ** i * y ** j);
    return constant ? [...row, 1] : row;
  });
  let weights = samples.map(() => 1);
  let found: number[] = [];
  for (let round = 0; round < 8; round++) {
    const rooted = weights.map(Math.sqrt);
    found = solve(
      new Matrix(basis.map((row, i) => row.map((x) => x * rooted[i]!))),
      new Matrix(samples.map((s, i) => [s.log * rooted[i]!])),
      true,
    ).to1DArray();
    const left = samples.map((s, i) =>
      Math.abs(s.log - basis[i]!.reduce((sum, x, k) => sum + x * found[k]!, 0)),
    );
    const scale = [...left].sort((p, q) => p - q)[Math.floor(left.length / 2)]! * 1.4826 + 1e-6;
    weights = left.map((r) => Math.min(1, (1.345 * scale) / Math.max(r, 1e-12)));
  }
  return { terms, weights: found.slice(0, terms.length) };
}

const luminance = (photo: Photo): readonly number[] =>
  photo.colorSpace === 'srgb' ? FROM_SRGB[1] : FROM_P3[1];

/** Mean luminance of a small square of the photo round a place. */
function around(photo: Photo, [x, y]: Point, half: number, curve: Curve): number | null {
  const [r, g, b] = luminance(photo) as [number, number, number];
  let sum = 0;
  let n = 0;
  for (let j = Math.round(y - half); j <= y + half; j++)
    for (let i = Math.round(x - half); i <= x + half; i++) {
      if (i < 0 || j < 0 || i >= photo.width || j >= photo.height) continue;
      const at = 4 * (j * photo.width + i);
      sum +=
        r * curve[0][photo.data[at]!]! +
        g * curve[1][photo.data[at + 1]!]! +
        b * curve[2][photo.data[at + 2]!]!;
      n += 1;
    }
  return n === 0 || sum <= 0 ? null : sum / n;
}

function sampled(
  photo: Photo,
  h: Homography,
  { widthMm, heightMm }: Support,
  places: readonly Point[],
  curve: Curve,
): Sample[] {
  const out: Sample[] = [];
  for (const [u, v] of places) {
    const y = around(photo, project(h, [u * widthMm, v * heightMm]), 2, curve);
    if (y !== null) out.push({ u, v, log: Math.log(y) });
  }
  return out;
}

const BORDER_SAMPLES = 60;
const GRID = 24;
const grid: Point[] = Array.from({ length: GRID * GRID }, (_, i) => [
  ((i % GRID) + 0.5) / GRID,
  (Math.floor(i / GRID) + 0.5) / GRID,
]);

/** The light by a border of one colour all round the picture, at least 8 mm wide: a quadratic of the place. */
export function fieldOfBorder(
  photo: Photo,
  h: Homography,
  support: Support,
  widthMm: number,
  curve: Curve,
): Field {
  const du = widthMm / 2 / support.widthMm;
  const dv = widthMm / 2 / support.heightMm;
  const places = Array.from(
    { length: BORDER_SAMPLES },
    (_, i) => (i + 0.5) / BORDER_SAMPLES,
  ).flatMap((t): Point[] => [
    [t, dv],
    [t, 1 - dv],
    [du, t],
    [1 - du, t],
  ]);
  return fitField(sampled(photo, h, support, places, curve), termsTo(2), true);
}

/** The light by a matt even board where the picture stood, photographed from the same place: of the fourth degree. */
export const fieldOfBoard = (board: Photo, h: Homography, support: Support, curve: Curve): Field =>
  fitField(sampled(board, h, support, grid, curve), termsTo(4), true);

/**
 * The odd part of the light by a second photo of the picture upside down, from the same place: half the difference of
 * the logarithms, place by place on the picture. What is even about the middle stays (lens, hot spot).
 */
export function fieldOfTurned(
  photo: Photo,
  h: Homography,
  turned: Photo,
  hTurned: Homography,
  support: Support,
  curve: Curve,
): Field {
  const samples: Sample[] = [];
  for (const place of grid) {
    const [one] = sampled(photo, h, support, [place], curve);
    const [two] = sampled(turned, hTurned, support, [place], curve);
    if (one && two) samples.push({ u: place[0], v: place[1], log: (one.log - two.log) / 2 });
  }
  return fitField(samples, termsTo(3, true), false);
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
