import { CALIBRATION } from '@/data/calibration';
import { yOfValue } from './colour';
import { labOfLinear } from './screen';
import type { Lab } from './colour';
import { CODE_TO_LINEAR, type Bands } from './srgb';

/** Pixels as a canvas gives them: RGBA, row by row. */
export interface Pixels {
  data: Uint8ClampedArray;
  width: number;
  height: number;
}

/** Places on a photo, shares of its width and height. */
export type Place = readonly [x: number, y: number];

export interface Patched {
  /** Mean in linear light, 0 to 1. */
  linear: Bands;
  /** Share of pixels in which a channel is at its end: there it says only "beyond". */
  clipped: number;
  pixels: number;
}

const END_LOW = 1;
const END_HIGH = 254;

/** Whether a point lies in a polygon. */
export const inPolygon = (x: number, y: number, polygon: readonly Place[]): boolean => {
  let odd = false;
  for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
    const [xi, yi] = polygon[i]!;
    const [xj, yj] = polygon[j]!;
    if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) odd = !odd;
  }
  return odd;
};

/**
 * The mean colour of a patch on a photo, in linear light, without its edge.
 * @param polygon its corners, in order round it
 * @returns null where the corners hold no pixel
 */
export function readPatch(
  { data, width, height }: { data: ArrayLike<number>; width: number; height: number },
  polygon: readonly Place[],
): Patched | null {
  if (polygon.length < 3) return null;
  const mid = [0, 1].map((c) => polygon.reduce((s, p) => s + p[c as 0 | 1], 0) / polygon.length);
  const inner = polygon.map(([x, y]): Place => [
    (x + (mid[0]! - x) * CALIBRATION.patchInset) * width,
    (y + (mid[1]! - y) * CALIBRATION.patchInset) * height,
  ]);
  const [xs, ys] = [inner.map((p) => p[0]), inner.map((p) => p[1])];
  const sum: Bands = [0, 0, 0];
  let pixels = 0;
  let clipped = 0;
  const top = Math.max(0, Math.floor(Math.min(...ys)));
  const left = Math.max(0, Math.floor(Math.min(...xs)));
  for (let y = top; y < Math.min(height, Math.max(...ys)); y++)
    for (let x = left; x < Math.min(width, Math.max(...xs)); x++) {
      if (!inPolygon(x + 0.5, y + 0.5, inner)) continue;
      const at = 4 * (y * width + x);
      pixels += 1;
      let end = false;
      for (let c = 0; c < 3; c++) {
        const v = data[at + c]!;
        sum[c]! += CODE_TO_LINEAR[v]!;
        end ||= v <= END_LOW || v >= END_HIGH;
      }
      if (end) clipped += 1;
    }
  if (pixels === 0) return null;
  return {
    linear: sum.map((s) => s / pixels) as Bands,
    clipped: clipped / pixels,
    pixels,
  };
}

/**
 * The colour of a patch against a grey card in the same light: channel by channel, so that exposure and white balance
 * go. Null where the card is black.
 */
export function againstCard(
  patch: Patched,
  card: Patched,
  cardValue = CALIBRATION.cardValue,
): Lab | null {
  const y = yOfValue(cardValue) / 100;
  if (card.linear.some((v) => v <= 1e-4)) return null;
  return labOfLinear(patch.linear.map((v, i) => (v / card.linear[i]!) * y) as Bands);
}

/** Of a second grey of the card: how far it comes out from what it is, share of its luminance. Above 3 % the camera bends tones. */
export const toneError = (
  second: Patched,
  card: Patched,
  secondValue: number,
  cardValue = CALIBRATION.cardValue,
): number => {
  const mean = (b: Bands) => 0.2126 * b[0] + 0.7152 * b[1] + 0.0722 * b[2];
  const got = mean(second.linear) / mean(card.linear);
  return Math.abs(got / (yOfValue(secondValue) / yOfValue(cardValue)) - 1);
};
