import { fromLinear } from '../optics/srgb';

/** Curves read from tables: no cube root and no power for each of millions of pixels. */

const STEPS = 4096;
const TOP = 1.5;
const KNEE = 216 / 24389;
const SLOPE = 24389 / 27;
const F = Float32Array.from({ length: STEPS + 2 }, (_, i) => {
  const t = (i * TOP) / STEPS;
  return t > KNEE ? Math.cbrt(t) : (SLOPE * t + 16) / 116;
});

/** f of CIE Lab; its error is below 0.01 L* above L* 1. */
export function labF(t: number): number {
  // A table is too coarse where the curve is steep; there it is nearly straight.
  if (t < KNEE) return t <= 0 ? 16 / 116 : (SLOPE * t + 16) / 116;
  const at = (t >= TOP ? TOP : t) * (STEPS / TOP);
  const i = at | 0;
  const low = F[i]!;
  return low + (at - i) * (F[i + 1]! - low);
}

/** L* of each relative luminance of a plane. */
export function lightnesses(Y: Float32Array): Float32Array {
  const L = new Float32Array(Y.length);
  for (let i = 0; i < Y.length; i++) L[i] = 116 * labF(Y[i]!) - 16;
  return L;
}

const CODES = 65_535;
/** Within a twentieth of a code everywhere. */
const CODE = Uint8Array.from({ length: CODES + 1 }, (_, i) =>
  Math.round(255 * fromLinear(i / CODES)),
);
/** The sRGB code of linear light. */
export const codeOfLinear = (v: number): number =>
  v <= 0 ? 0 : v >= 1 ? 255 : CODE[(v * CODES + 0.5) | 0]!;

/** The light of an L*. */
export const lightOfL = (L: number): number => {
  const f = (L + 16) / 116;
  const cube = f * f * f;
  return cube > KNEE ? cube : (116 * f - 16) / SLOPE;
};
