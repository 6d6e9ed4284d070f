import { LOOKING } from '@/data/looking';
import { blurred } from './blur';
import { innerPixels, type Labels } from './passages';
import type { Raster } from './photo';

/** An eye: 1, 1 is a young and careful one at threshold. */
export interface Eye {
  gain: number;
  scale: number;
  luminance: number;
}
export const ORDINARY: Eye = {
  gain: LOOKING.eyeGain,
  scale: LOOKING.eyeScale,
  luminance: LOOKING.eyeLuminance,
};

/**
 * Contrast sensitivity, 1 over the contrast that is just seen; Barten (2004), from memory.
 * @param u cycles per degree
 * @param luminance cd/m2
 */
export function contrastSensitivity(
  u: number,
  luminance = LOOKING.eyeLuminance,
  fieldDeg = LOOKING.eyeFieldDeg,
): number {
  const u2 = u * u;
  return (
    (5200 * Math.exp(-0.0016 * u2 * (1 + 100 / luminance) ** 0.08)) /
    Math.sqrt(
      (1 + 144 / fieldDeg ** 2 + 0.64 * u2) *
        (63 / luminance ** 0.83 + 1 / (1 - Math.exp(-0.02 * u2))),
    )
  );
}

const sees = (u: number, eye: Eye): number =>
  eye.gain * contrastSensitivity(eye.scale * u, eye.luminance);

const DEGREES = 180 / Math.PI;
/** Cycles per degree of a period on the picture. */
export const cyclesPerDegree = (periodMm: number, distanceM: number): number =>
  (distanceM * 1000) / DEGREES / periodMm;

/** Half of the smallest period that is still seen at a contrast, mm. */
export function smallestSeenMm(contrast: number, distanceM: number, eye: Eye = ORDINARY): number {
  // Above the peak sensitivity falls: the last frequency at which it still reaches.
  let low = 3;
  let high = 80;
  for (let i = 0; i < 50; i++) {
    const mid = (low + high) / 2;
    if (contrast * sees(mid, eye) >= 1) low = mid;
    else high = mid;
  }
  return (distanceM * 1000) / DEGREES / low / 2;
}

/** Nearer than this the photo cannot tell what an eye would see, m. */
export const nearestHonestM = (pxPerMm: number): number =>
  (2 * LOOKING.eyeEndCpd * DEGREES) / 1000 / pxPerMm;

/** Where a difference of two Gaussians an octave apart lies: its peak, cycles per px, over 1 / sigma. */
const PEAK = Math.sqrt(Math.log(4) / (6 * Math.PI ** 2));

/**
 * The picture from a distance: octave bands, each as contrast on all that is coarser, and only what is above the eye's
 * threshold stays (Peli 1990, from memory). Bands are differences of Gaussians in place of raised cosines in frequency:
 * they add up to the picture as exactly, and need no transform of the whole. Large masses do not fade.
 * @returns linear light, row by row
 */
export function viewFrom(
  { Y, width, height, pxPerMm }: Raster,
  distanceM: number,
  eye: Eye = ORDINARY,
): Float32Array {
  const levels: Float32Array[] = [Y];
  const sigmas = [0];
  for (let sigma = 0.5; sigma < Math.min(width, height) / 4; sigma *= 2) {
    levels.push(blurred(Y, width, height, sigma));
    sigmas.push(sigma);
  }
  const last = levels.length - 1;
  const out = Float32Array.from(levels[last]!);
  for (let k = last - 1; k >= 0; k--) {
    const fine = levels[k]!;
    const coarse = levels[k + 1]!;
    const cyclesPerPx = PEAK / Math.max(sigmas[k]!, 0.35);
    const sensitivity = sees((cyclesPerPx * pxPerMm * distanceM * 1000) / DEGREES, eye);
    if (!(sensitivity > 1)) continue;
    // Amplitude over about a period: a wave is not cut up where it crosses nothing.
    const energy = new Float32Array(Y.length);
    for (let i = 0; i < Y.length; i++) {
      const c = (fine[i]! - coarse[i]!) / Math.max(coarse[i]!, 0.005);
      energy[i] = c * c;
    }
    const power = blurred(energy, width, height, Math.max(1, 0.5 / cyclesPerPx));
    // Of a wave of amplitude A the mean square is A^2 / 2.
    const limit = 1 / sensitivity ** 2 / 2;
    for (let i = 0; i < Y.length; i++)
      if (power[i]! >= limit) out[i] = out[i]! + fine[i]! - coarse[i]!;
  }
  return out;
}

/** Spread of a plane over the pixels of a passage, a slope taken off. */
function detail(plane: Float32Array, at: Int32Array, width: number): number {
  const n = at.length;
  let [sz, sxx, syy, sxy, sxz, syz] = [0, 0, 0, 0, 0, 0];
  const [cx, cy] = [
    at.reduce((s, p) => s + (p % width), 0) / n,
    at.reduce((s, p) => s + Math.floor(p / width), 0) / n,
  ];
  for (const p of at) {
    const x = (p % width) - cx;
    const y = Math.floor(p / width) - cy;
    const z = plane[p]!;
    sz += z;
    sxx += x * x;
    syy += y * y;
    sxy += x * y;
    sxz += x * z;
    syz += y * z;
  }
  const det = sxx * syy - sxy * sxy;
  const p = det > 0 ? (sxz * syy - syz * sxy) / det : 0;
  const q = det > 0 ? (syz * sxx - sxz * sxy) / det : 0;
  const mean = sz / n;
  let sum = 0;
  for (const i of at) {
    const z = plane[i]! - mean - p * ((i % width) - cx) - q * (Math.floor(i / width) - cy);
    sum += z * z;
  }
  return Math.sqrt(sum / n);
}

/** Of each passage the share of its own detail that is left at a distance. */
export function detailLeft(
  raster: Raster,
  labels: Labels,
  seen: Float32Array,
): { id: string; detailLeft: number }[] {
  return labels.ids.flatMap((id, i) => {
    const at = innerPixels(labels, i, raster);
    if (at.length < LOOKING.leastEroded) return [];
    const before = detail(raster.Y, at, raster.width);
    return [
      { id, detailLeft: before > 1e-6 ? Math.min(1, detail(seen, at, raster.width) / before) : 1 },
    ];
  });
}
