import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Lab } from '../src/core/optics/colour';
import { linearOf } from '../src/core/optics/screen';
import { fromLinear } from '../src/core/optics/srgb';
import { inverse, seenFrom } from '../src/core/looking/homography';
import type { Photo, Point, Support } from '../src/core/looking/photo';

/**
 * Pictures of known truth and photographs of them: a picture is a function of the place, mm, in Lab; a photograph adds
 * perspective, light, exposure, veil, tone curve and noise. What is checked against comes from the picture.
 */
export type Picture = (x: number, y: number) => Lab;

export interface Camera {
  width: number;
  height: number;
  /** px, the picture's own upper left first. */
  corners: readonly Point[];
  /** Gain of the exposure, 1 as it is. */
  gain?: number;
  /** A lamp so far in front of the picture, mm, over a place of it. */
  lamp?: { at: Point; distanceMm: number };
  /** Fall-off of the lens at the corner of the photo, share. */
  vignette?: number;
  veil?: number;
  /** Contrast S of the phone and its middle; 1, 1 leaves it. */
  curve?: { contrast: number; middle: number };
  noise?: boolean;
  seed?: number;
  /** What stands round the picture, and the card: px of the photo to L*; null is the picture itself. */
  beside?: (px: number, py: number) => number | null;
  wallL?: number;
  /** Samples under a pixel, along a side. */
  samples?: number;
}

// Under the test runner each look for a global costs more than what it does.
const { abs, exp, hypot, log, cos, max, min, round, sqrt, PI } = Math;

const NOISE = 99_991;
const tables = new Map<number, Float64Array>();
function gaussians(seed: number): Float64Array {
  const known = tables.get(seed);
  if (known) return known;
  const rng = xoroshiro128plus(seed);
  const table = Float64Array.from(
    { length: NOISE },
    () => sqrt(-2 * log(max(1e-9, uniformFloat64(rng)))) * cos(2 * PI * uniformFloat64(rng)),
  );
  tables.set(seed, table);
  return table;
}

const phi = (z: number): number => {
  // Abramowitz & Stegun 26.2.17; good to 1e-7.
  const t = 1 / (1 + 0.2316419 * abs(z));
  const d = 0.3989422804 * exp((-z * z) / 2);
  const p =
    d *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z > 0 ? 1 - p : p;
};

export const mix = (one: Lab, two: Lab, t: number): Lab => [
  one[0] + (two[0] - one[0]) * t,
  one[1] + (two[1] - one[1]) * t,
  one[2] + (two[2] - one[2]) * t,
];

/** A shape laid over a picture: its signed distance, negative inside, and how soft its border is (sigma, mm). */
export const over =
  (
    below: Picture,
    distance: (x: number, y: number) => number,
    colour: Picture | Lab,
    sigma = 0,
  ): Picture =>
  (x, y) => {
    const d = distance(x, y);
    const on = typeof colour === 'function' ? colour(x, y) : colour;
    if (sigma === 0) return d < 0 ? on : below(x, y);
    if (d > 4 * sigma) return below(x, y);
    return d < -4 * sigma ? on : mix(below(x, y), on, phi(-d / sigma));
  };

export const plain =
  (lab: Lab): Picture =>
  () =>
    lab;

/** Signed distances. */
export const rect =
  (x0: number, y0: number, x1: number, y1: number) =>
  (x: number, y: number): number =>
    max(x0 - x, x - x1, y0 - y, y - y1);
export const disc =
  (cx: number, cy: number, r: number) =>
  (x: number, y: number): number =>
    hypot(x - cx, y - cy) - r;

/** A picture worked out once on a fine raster: what is photographed with many samples is then quick. */
export function baked(picture: Picture, { widthMm, heightMm }: Support, pxPerMm: number): Picture {
  const width = round(widthMm * pxPerMm);
  const height = round(heightMm * pxPerMm);
  const labs: Lab[] = [];
  const known = new Map<number, Lab>();
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [L, a, b] = picture((x + 0.5) / pxPerMm, (y + 0.5) / pxPerMm);
      // To a fifth of a unit: few colours, and the light of each is worked out once.
      const [i, j, k] = [round(5 * L), round(5 * a), round(5 * b)];
      const key = (i * 4096 + j + 2048) * 4096 + k + 2048;
      const lab = known.get(key) ?? [i / 5, j / 5, k / 5];
      known.set(key, lab);
      labs.push(lab);
    }
  return (x, y) => {
    const column = x < 0 ? 0 : x >= widthMm ? width - 1 : (x * pxPerMm) | 0;
    const row = y < 0 ? 0 : y >= heightMm ? height - 1 : (y * pxPerMm) | 0;
    return labs[row * width + column]!;
  };
}

const lights = new WeakMap<Lab, readonly number[]>();
/** Most places of a chart have one of few colours: each is worked out once. */
const lightOf = (lab: Lab): readonly number[] => {
  const known = lights.get(lab) ?? linearOf(lab).map((v) => max(0, v));
  lights.set(lab, known);
  return known;
};

/** Photographed: 8 bit sRGB. */
export function photographed(picture: Picture, support: Support, camera: Camera): Photo {
  const { width, height, corners, gain = 1, veil = 0, vignette = 0, samples = 2 } = camera;
  const back = inverse(seenFrom(corners, support));
  const data = new Uint8ClampedArray(width * height * 4);
  const noise = camera.noise ? gaussians(camera.seed ?? 1) : null;
  const half = hypot(width, height) / 2;
  const light = (x: number, y: number): number => {
    if (!camera.lamp) return 1;
    const { at, distanceMm } = camera.lamp;
    const r2 = (x - at[0]) ** 2 + (y - at[1]) ** 2;
    return (distanceMm ** 2 / (distanceMm ** 2 + r2)) ** 1.5;
  };
  const { contrast, middle } = camera.curve ?? { contrast: 1, middle: 1 };
  const tone = (e: number): number => {
    if (contrast === 1 && middle === 1) return e;
    const p = e ** contrast;
    return p / (p + middle * (1 - e) ** contrast);
  };
  const wall: Lab = [camera.wallL ?? 85, 0, 2];
  const greys = new Map<number, Lab>();
  const grey = (L: number): Lab => {
    const known = greys.get(L) ?? [L, 0, 0];
    greys.set(L, known);
    return known;
  };
  for (let py = 0; py < height; py++)
    for (let px = 0; px < width; px++) {
      const sum = [0, 0, 0];
      for (let j = 0; j < samples; j++)
        for (let i = 0; i < samples; i++) {
          const u = px + (i + 0.5) / samples;
          const v = py + (j + 0.5) / samples;
          const w = back[6]! * u + back[7]! * v + back[8]!;
          const x = (back[0]! * u + back[1]! * v + back[2]!) / w;
          const y = (back[3]! * u + back[4]! * v + back[5]!) / w;
          const card = camera.beside?.(u, v) ?? null;
          const on = x >= 0 && y >= 0 && x <= support.widthMm && y <= support.heightMm;
          const lab = card !== null ? grey(card) : on ? picture(x, y) : wall;
          const lit = gain * light(x, y);
          const rgb = lightOf(lab);
          for (let c = 0; c < 3; c++) sum[c]! += (rgb[c]! * lit + veil) / (1 + veil);
        }
      const fall = 1 - vignette * (hypot(px - width / 2, py - height / 2) / half) ** 2;
      const at = 4 * (py * width + px);
      for (let c = 0; c < 3; c++) {
        let v = (sum[c]! / samples ** 2) * fall;
        // A prime step through the table: neighbours have nothing in common.
        if (noise)
          v += noise[(at * 7919 + c * 104729) % noise.length]! * sqrt(1e-4 * max(0, v) + 2e-6);
        data[at + c] = round(255 * tone(fromLinear(min(1, max(0, v)))));
      }
      data[at + 3] = 255;
    }
  return { data, width, height, colorSpace: 'srgb' };
}
