import { OPTICS } from '@/data/optics';
import { chromaOf, de2000, labOfXyz, xyzOfLab, type Lab, type Xyz } from './colour';
import { fromLinear, hexToLinear, linearToHex, type Bands } from './srgb';

/** From Lab to what a screen shows. Computed with the true colour always; only here, at the very end, is it made to fit. */

/** IEC 61966-2-1 and its inverse, and Display P3 (DCI primaries, D65; SMPTE EG 432-1), for XYZ of which Y of white is 1. */
export const TO_SRGB = [
  [3.2409699, -1.5373832, -0.4986108],
  [-0.9692436, 1.8759675, 0.0415551],
  [0.0556301, -0.203977, 1.0569715],
] as const;
export const FROM_SRGB = [
  [0.4123908, 0.3575843, 0.1804808],
  [0.212639, 0.7151687, 0.0721923],
  [0.0193308, 0.1191948, 0.9505322],
] as const;
export const FROM_P3 = [
  [0.4865709, 0.2656677, 0.1982173],
  [0.2289746, 0.6917385, 0.0792869],
  [0, 0.0451134, 1.0439444],
] as const;
const TO_P3 = [
  [2.4934969, -0.9313836, -0.4027108],
  [-0.829489, 1.7626641, 0.0236247],
  [0.0358458, -0.0761724, 0.9568845],
] as const;
/** The white of the 5 nm tables, which screens mean by D65. */
export const SCREEN_WHITE: Xyz = [0.9504559, 1, 1.0890578];

type Matrix = readonly (readonly [number, number, number])[];
const times = (matrix: Matrix, [x, y, z]: Xyz): Bands =>
  matrix.map(([a, b, c]) => a * x + b * y + c * z) as Bands;

/** Linear sRGB of a Lab; may lie outside 0 to 1. */
export const linearOf = (lab: Lab): Bands => times(TO_SRGB, xyzOfLab(lab, SCREEN_WHITE));
const linearP3Of = (lab: Lab): Bands => times(TO_P3, xyzOfLab(lab, SCREEN_WHITE));

/** Lab (D65, 2 degrees) of an sRGB hex code. */
export const labOfHex = (hex: string): Lab =>
  labOfXyz(times(FROM_SRGB, hexToLinear(hex) as Xyz), SCREEN_WHITE);
/** Lab (D65, 2 degrees) of linear sRGB. */
export const labOfLinear = (bands: Bands): Lab =>
  labOfXyz(times(FROM_SRGB, bands as Xyz), SCREEN_WHITE);

const fits = (bands: Bands): boolean =>
  bands.every((v) => v >= -OPTICS.gamutTolerance && v <= 1 + OPTICS.gamutTolerance);

/** The same lightness and hue with as much chroma as fits. */
function fitted(lab: Lab, linear: (lab: Lab) => Bands): Lab {
  const L = Math.min(100, Math.max(0, lab[0]));
  let low = 0;
  let high = 1;
  // Twelve halvings: a part in four thousand of the chroma.
  for (let i = 0; i < 12; i++) {
    const mid = (low + high) / 2;
    if (fits(linear([L, lab[1] * mid, lab[2] * mid]))) low = mid;
    else high = mid;
  }
  return [L, lab[1] * low, lab[2] * low];
}

export interface ScreenColour {
  /** sRGB, fitted. */
  hex: string;
  /** CSS Display P3, where the colour asks for more than sRGB; null where sRGB has it. */
  p3: string | null;
  /** Whether an sRGB screen shows it as it is. */
  shown: boolean;
  /** CIEDE2000 between the true colour and the one shown. */
  off: number;
}

const cssOf = (bands: Bands): string =>
  bands
    .map((v) => Math.min(1, Math.max(0, v)))
    .map((v) => fromLinear(v).toFixed(4))
    .join(' ');

/** A colour as a screen can show it: what sRGB lacks is told, and given in Display P3 as well. */
export function screenColour(lab: Lab): ScreenColour {
  const linear = linearOf(lab);
  if (fits(linear)) return { hex: linearToHex(linear), p3: null, shown: true, off: 0 };
  const near = fitted(lab, linearOf);
  const wide = linearP3Of(lab);
  const inWide = fits(wide) ? lab : fitted(lab, linearP3Of);
  return {
    hex: linearToHex(linearOf(near)),
    p3: chromaOf(inWide) > chromaOf(near) ? `color(display-p3 ${cssOf(linearP3Of(inWide))})` : null,
    shown: false,
    off: de2000(lab, near),
  };
}

/** sRGB hex of a Lab, fitted. */
export const hexOf = (lab: Lab): string => screenColour(lab).hex;
