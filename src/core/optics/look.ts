import type { Finish } from '@/data/optics';
import { labOf, xyzOf, valueOfLab, type Lab, type Weights } from './colour';
import { over, plateOf, thicker, type OpticalFilm } from './films';
import { seen } from './surface';
import type { Spectrum } from './spectrum';

/**
 * Seen reflectance of a film that was brushed or wiped unevenly: the mean of the films h (1 - cv) and h (1 + cv), which
 * is within 0.1 CIEDE2000 of a gamma distribution at cv 0.3. Thickness is never averaged: the mean of what is seen
 * is lighter and less saturated than the look of the mean thickness.
 */
export function seenUneven(
  film: OpticalFilm,
  below: Spectrum,
  finish: Finish,
  cv: number,
): Spectrum {
  if (cv === 0) return seen(over(plateOf(film), below), finish);
  const one = seen(over(plateOf(thicker(film, 1 - cv)), below), finish);
  const other = seen(over(plateOf(thicker(film, 1 + cv)), below), finish);
  return one.map((v, i) => (v + other[i]!) / 2);
}

/**
 * What the next film goes over where a film was laid unevenly: the mean of the inner reflectances of its thin and thick
 * places. So two coats of independent marks come out evener than one, as they do.
 */
export function overUneven(film: OpticalFilm, below: Spectrum, cv: number): Spectrum {
  if (cv === 0) return over(plateOf(film), below);
  const one = over(plateOf(thicker(film, 1 - cv)), below);
  const other = over(plateOf(thicker(film, 1 + cv)), below);
  return one.map((v, i) => (v + other[i]!) / 2);
}

/** How differently the thin and the thick places of a coat look: both Labs. */
export function streaks(
  film: OpticalFilm,
  below: Spectrum,
  finish: Finish,
  cv: number,
): { thin: Lab; thick: Lab } {
  const at = (times: number) => labOf(seen(over(plateOf(thicker(film, times)), below), finish));
  return { thin: at(1 - cv), thick: at(1 + cv) };
}

/** What a spectrum looks like, in every figure that is told of it. */
export interface Colour {
  lab: Lab;
  /** Munsell value, 0 to 10. */
  value: number;
  /** Luminance, % of the perfect diffuser. */
  y: number;
}

/** Lab, luminance and Munsell value of a seen reflectance. */
export function colourOf(spectrum: Spectrum, weights?: Weights): Colour {
  const lab = labOf(spectrum, weights);
  const y = xyzOf(spectrum, weights)[1];
  return { lab, value: valueOfLab(lab), y };
}
