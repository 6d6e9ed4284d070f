import { D65_2 } from '@/data/cie';
import { OPTICS } from '@/data/optics';
import type { Spectrum } from './spectrum';

/** CIE Lab, for the white of the weights it was computed with. */
export type Lab = [L: number, a: number, b: number];
export type Xyz = [X: number, Y: number, Z: number];

export interface Weights {
  readonly X: readonly number[];
  readonly Y: readonly number[];
  readonly Z: readonly number[];
}

const sum = (values: readonly number[]): number => values.reduce((s, v) => s + v, 0);
const whites = new WeakMap<Weights, Xyz>();

/** The white of weights: what a perfect diffuser gives. */
export function whiteOf(weights: Weights): Xyz {
  const white = whites.get(weights) ?? [sum(weights.X), sum(weights.Y), sum(weights.Z)];
  whites.set(weights, white);
  return white;
}

/** Tristimulus values of a seen reflectance; Y of the perfect diffuser is 100. */
export function xyzOf(seen: Spectrum, weights: Weights = D65_2): Xyz {
  let x = 0;
  let y = 0;
  let z = 0;
  for (let i = 0; i < seen.length; i++) {
    const r = seen[i]!;
    x += r * weights.X[i]!;
    y += r * weights.Y[i]!;
    z += r * weights.Z[i]!;
  }
  return [x, y, z];
}

// CIE 15: the exact fractions.
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;
const f = (t: number): number => (t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116);
const fInverse = (v: number): number => (v ** 3 > EPSILON ? v ** 3 : (116 * v - 16) / KAPPA);

/** Lightness L* of a relative luminance, white 1; CIE 15. */
export const lightnessOf = (y: number): number => 116 * f(y) - 16;
/** Relative luminance, white 1, of a lightness; CIE 15. */
export const luminanceOf = (L: number): number => fInverse((L + 16) / 116);

/** CIE 1976 L*a*b*; CIE 15. */
export function labOfXyz([x, y, z]: Xyz, white: Xyz = whiteOf(D65_2)): Lab {
  const fx = f(x / white[0]);
  const fy = f(y / white[1]);
  const fz = f(z / white[2]);
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}

/** Tristimulus values of a Lab; the inverse of `labOfXyz`. */
export function xyzOfLab([L, a, b]: Lab, white: Xyz = whiteOf(D65_2)): Xyz {
  const fy = (L + 16) / 116;
  return [
    white[0] * fInverse(fy + a / 500),
    white[1] * fInverse(fy),
    white[2] * fInverse(fy - b / 200),
  ];
}

/** CIE Lab of a seen reflectance, for the light and observer of the weights. */
export const labOf = (seen: Spectrum, weights: Weights = D65_2): Lab =>
  labOfXyz(xyzOf(seen, weights), whiteOf(weights));

/** Chroma C*ab. */
export const chromaOf = ([, a, b]: Lab): number => Math.hypot(a, b);
/** Lab hue, degrees 0 to 360. */
export const hueOf = ([, a, b]: Lab): number => ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;

const RAD = Math.PI / 180;
const cosDeg = (deg: number): number => Math.cos(deg * RAD);
const POW25_7 = 25 ** 7;

/** The three differences of CIEDE2000, each over its own tolerance, and the rotation between chroma and hue. */
export function de2000Parts(
  [L1, a1, b1]: Lab,
  [L2, a2, b2]: Lab,
): { dL: number; dC: number; dH: number; rotation: number } {
  const mean = (Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2;
  const mean7 = mean ** 7;
  const g = 1.5 - 0.5 * Math.sqrt(mean7 / (mean7 + POW25_7));
  const c1 = Math.hypot(a1 * g, b1);
  const c2 = Math.hypot(a2 * g, b2);
  const h1 = c1 === 0 ? 0 : (Math.atan2(b1, a1 * g) / RAD + 360) % 360;
  const h2 = c2 === 0 ? 0 : (Math.atan2(b2, a2 * g) / RAD + 360) % 360;
  let dh = h2 - h1;
  let hMean = (h1 + h2) / 2;
  if (c1 * c2 === 0) {
    dh = 0;
    hMean = h1 + h2;
  } else if (Math.abs(dh) > 180) {
    dh += dh > 0 ? -360 : 360;
    hMean += h1 + h2 < 360 ? 180 : -180;
  }
  const LMean = (L1 + L2) / 2;
  const cMean = (c1 + c2) / 2;
  const t =
    1 -
    0.17 * cosDeg(hMean - 30) +
    0.24 * cosDeg(2 * hMean) +
    0.32 * cosDeg(3 * hMean + 6) -
    0.2 * cosDeg(4 * hMean - 63);
  const cMean7 = cMean ** 7;
  const rotation =
    -Math.sin(60 * RAD * Math.exp(-(((hMean - 275) / 25) ** 2))) *
    2 *
    Math.sqrt(cMean7 / (cMean7 + POW25_7));
  const l50 = (LMean - 50) ** 2;
  return {
    dL: (L2 - L1) / (1 + (0.015 * l50) / Math.sqrt(20 + l50)),
    dC: (c2 - c1) / (1 + 0.045 * cMean),
    dH: (2 * Math.sqrt(c1 * c2) * Math.sin((dh / 2) * RAD)) / (1 + 0.015 * cMean * t),
    rotation,
  };
}

/** CIEDE2000; Sharma, Wu & Dalal, Color Res. Appl. 30 (2005). */
export function de2000(one: Lab, other: Lab): number {
  const { dL, dC, dH, rotation } = de2000Parts(one, other);
  return Math.sqrt(Math.max(0, dL * dL + dC * dC + dH * dH + rotation * dC * dH));
}

// ASTM D1535: Y in % of the perfect diffuser by Munsell value; made for illuminant C, off by less than 0.05 with D65.
const MUNSELL = [0, 1.1914, -0.22533, 0.23352, -0.020484, 0.00081939] as const;
const MOST_VALUE = 10.2;

/** Y, %, of a Munsell value. */
export const yOfValue = (v: number): number =>
  MUNSELL.reduceRight<number>((sum, c) => sum * v + c, 0);

/** Munsell value, 0 to 10, of Y in %; by bisection, for the polynomial is monotone. */
export function valueOfY(y: number): number {
  let low = 0;
  let high = MOST_VALUE;
  for (let i = 0; i < 40; i++) {
    const mid = (low + high) / 2;
    if (yOfValue(mid) < y) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/** Munsell value of a Lab. */
export const valueOfLab = (lab: Lab): number => valueOfY(xyzOfLab(lab)[1]);

/** The warm pole among hues, as a step of a* and b*; Ou, Luo, Woodcock & Wright (2004), from memory. */
export const WARM: readonly [a: number, b: number] = [
  cosDeg(OPTICS.warmHueDeg),
  Math.sin(OPTICS.warmHueDeg * RAD),
];
/** Warmth on the axis from greenish blue to orange: C* cos(h - 50 deg). */
export const warmthOf = ([, a, b]: Lab): number => a * WARM[0] + b * WARM[1];
