import { Matrix, solve } from 'ml-matrix';
import { FROM_P3, FROM_SRGB } from '../optics/screen';
import { project, type Homography } from './homography';
import type { Curve, Photo, Point, Support } from './photo';

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
