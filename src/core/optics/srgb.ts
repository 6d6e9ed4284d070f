/**
 * sRGB transfer function, IEC 61966-2-1: hex code to linear bands (0-1) and back. The constants are the
 * standard's. Checked against the culori library in optics.test.ts.
 */
export type Bands = [number, number, number];

/** One sRGB channel, 0 to 1, as linear light. */
export const toLinear = (v: number): number =>
  v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
/** Of every 8-bit code the linear light, 0 to 1; Display P3 has the same curve. */
export const CODE_TO_LINEAR: Float64Array = Float64Array.from({ length: 256 }, (_, i) =>
  toLinear(i / 255),
);
/** Linear light of one channel as sRGB, 0 to 1. */
export const fromLinear = (v: number): number =>
  v <= 0.0031308 ? v * 12.92 : 1.055 * v ** (1 / 2.4) - 0.055;

/** "#rrggbb" to linear bands. */
export const hexToLinear = (hex: string): Bands =>
  [1, 3, 5].map((i) => toLinear(parseInt(hex.slice(i, i + 2), 16) / 255)) as Bands;

/** Linear bands to "#rrggbb"; out of gamut is clamped. */
export const linearToHex = (bands: Bands): string =>
  `#${bands
    .map((v) =>
      Math.round(255 * fromLinear(Math.min(1, Math.max(0, v))))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
