import { OPTICS, type Finish } from '@/data/optics';
import { labOf, type Lab } from './colour';
import type { OpticalFilm } from './films';
import { linearOf, labOfLinear } from './screen';
import { innerOf } from './surface';
import { seenUneven } from './look';
import { smoothestSpectrum } from './smoothest';
import { inPolygon, readPatch, type Pixels, type Place } from './read-patches';
import { fromLinear, toLinear, type Bands } from './srgb';

/**
 * A coat shown on a photo of the passage. The photo's colours have no spectra: the smoothest that fit stand in, along the
 * passage's own hue from dark to light, so that the marks and tones of the photo stay. What a camera has bent stays
 * bent: it is a picture of the change, not of the colour.
 */
export interface OnPhoto {
  pixels: Pixels;
  /** The passage's mean on the photo, before and after. */
  before: Lab;
  after: Lab;
}

/** Lightnesses at which the change is worked out; between them it is drawn straight. */
const LEVELS = 12;
const LEAST_L = 2;
const MOST_L = 98;
const REFLECTS_LEAST = 0.002;

interface Level {
  y: number;
  ratio: Bands;
}

const luminance = (b: Bands): number => 0.2126 * b[0] + 0.7152 * b[1] + 0.0722 * b[2];

/** By how much each channel changes at some lightnesses of the passage's own colour; darkest first. */
function levelsOf(film: OpticalFilm, mean: Lab, finish: Finish): Level[] {
  const out: Level[] = [];
  for (let k = 0; k < LEVELS; k++) {
    const L = LEAST_L + ((MOST_L - LEAST_L) * k) / (LEVELS - 1);
    // Towards black and white there is less room for colour.
    const room = Math.min(1, L / Math.max(1, mean[0]), (100 - L) / Math.max(1, 100 - mean[0]));
    const lab: Lab = [L, mean[1] * room, mean[2] * room];
    const spectrum = smoothestSpectrum(lab) ?? smoothestSpectrum([L, 0, 0]);
    if (!spectrum) continue;
    const before = linearOf(labOf(spectrum));
    const after = linearOf(
      labOf(seenUneven(film, innerOf(spectrum, finish), finish, OPTICS.cvSoftBrush)),
    );
    out.push({
      y: luminance(before),
      ratio: after.map((v, c) => v / Math.max(REFLECTS_LEAST, before[c]!)) as Bands,
    });
  }
  return out;
}

/** @param polygon the passage on the photo, its corners in order, shares of width and height; null where it holds nothing */
export function glazeOnPhoto(
  photo: Pixels,
  polygon: readonly Place[],
  film: OpticalFilm,
  finish: Finish = 'oil-gloss',
): OnPhoto | null {
  const patch = readPatch(photo, polygon);
  if (!patch) return null;
  const before = labOfLinear(patch.linear);
  const levels = levelsOf(film, before, finish);
  if (levels.length < 2) return null;
  const { width, height } = photo;
  const data = new Uint8ClampedArray(photo.data);
  const corners = polygon.map(([x, y]): Place => [x * width, y * height]);
  const tops = corners.map((p) => p[1]);
  const sides = corners.map((p) => p[0]);
  const sum: Bands = [0, 0, 0];
  let count = 0;
  const from = Math.max(0, Math.floor(Math.min(...tops)));
  const left = Math.max(0, Math.floor(Math.min(...sides)));
  for (let y = from; y < Math.min(height, Math.max(...tops)); y++)
    for (let x = left; x < Math.min(width, Math.max(...sides)); x++) {
      if (!inPolygon(x + 0.5, y + 0.5, corners)) continue;
      const at = 4 * (y * width + x);
      const linear = [0, 1, 2].map((c) => toLinear(data[at + c]! / 255)) as Bands;
      const lum = luminance(linear);
      let k = 1;
      while (k < levels.length - 1 && levels[k]!.y < lum) k++;
      const [low, high] = [levels[k - 1]!, levels[k]!];
      const part = Math.min(1, Math.max(0, (lum - low.y) / (high.y - low.y)));
      for (let c = 0; c < 3; c++) {
        const ratio = low.ratio[c]! + (high.ratio[c]! - low.ratio[c]!) * part;
        // A film that scatters lifts black, of which no share is anything.
        const out = Math.min(1, Math.max(0, Math.max(linear[c]!, REFLECTS_LEAST) * ratio));
        sum[c]! += out;
        data[at + c] = Math.round(255 * fromLinear(out));
      }
      count += 1;
    }
  return {
    pixels: { data, width, height },
    before,
    after: labOfLinear(sum.map((s) => s / Math.max(1, count)) as Bands),
  };
}
