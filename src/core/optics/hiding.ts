import { OPTICS_BENCH } from '@/data/optics-bench';
import { de2000, labOf, xyzOf } from './colour';
import { over, plateOf, thicker, type OpticalFilm, type Plate } from './films';
import { flat, type Spectrum } from './spectrum';
import { seen } from './surface';

/** What covers, and what still shows. Films are of any thickness `perUm` belongs to; the reference finish is an oil film's. */

const FINISH = 'oil-gloss';
const luminance = (inner: Spectrum): number => xyzOf(seen(inner, FINISH))[1];

const BLACK = flat(0);
const CARD = flat(OPTICS_BENCH.hidingWhite);

/** Luminance over black to luminance over the white of a drawdown card; 1 is covered. ASTM D2805, ISO 6504; from memory. */
export function contrastRatio(film: OpticalFilm): number {
  const plate = plateOf(film);
  return luminance(over(plate, BLACK)) / luminance(over(plate, CARD));
}

/**
 * Dry thickness, um, at which a film hides: contrast ratio 0.98. Null where no film of any use does.
 * @param perUm the film at one um
 */
export function hidingUm(perUm: OpticalFilm): number | null {
  const ratio = (um: number) => contrastRatio(thicker(perUm, um));
  let high: number = OPTICS_BENCH.hidingMostUm;
  if (ratio(high) < OPTICS_BENCH.hidingContrast) return null;
  let low = 0.1;
  for (let i = 0; i < 40; i++) {
    const mid = Math.sqrt(low * high);
    if (ratio(mid) < OPTICS_BENCH.hidingContrast) low = mid;
    else high = mid;
  }
  return Math.sqrt(low * high);
}

/** CIEDE2000 between what is seen over two grounds. */
const between = (plate: Plate, one: Spectrum, other: Spectrum): number =>
  de2000(labOf(seen(over(plate, one), FINISH)), labOf(seen(over(plate, other), FINISH)));

const MOST_COATS = 50;

export interface Cover {
  /** CIEDE2000 between the darkest and the lightest place beneath, after 1, 2, ... coats. */
  left: number[];
  /** Coats until the two pass in a picture; null where fifty do not. */
  passes: number | null;
  /** Coats until they cannot be told apart side by side. */
  same: number | null;
}

/** How many coats until what is below no longer shows: between the darkest and the lightest thing beneath. */
export function coatsToCover(coat: OpticalFilm, darkest: Spectrum, lightest: Spectrum): Cover {
  const plate = plateOf(coat);
  const left: number[] = [];
  let [dark, light] = [darkest, lightest];
  for (let n = 1; n <= MOST_COATS; n++) {
    dark = over(plate, dark);
    light = over(plate, light);
    const de = de2000(labOf(seen(dark, FINISH)), labOf(seen(light, FINISH)));
    left.push(de);
    if (de < OPTICS_BENCH.sameDe) break;
  }
  const first = (limit: number) => {
    const at = left.findIndex((de) => de < limit);
    return at < 0 ? null : at + 1;
  };
  return { left, passes: first(OPTICS_BENCH.passesDe), same: first(OPTICS_BENCH.sameDe) };
}

/** Whether a line drawn below still shows through a coat. */
export interface Through {
  /** Weber contrast of the line against the field. */
  contrast: number;
  /** What the eye needs among brush marks, for so thin a line from so far. */
  limit: number;
  de: number;
  shows: boolean;
}

/**
 * Weber fraction and Ricco's summation below two arc minutes, twice for brush marks; from memory and judgement.
 * @param lineMm width of the line
 * @param distanceMm from which it is looked at
 */
export function showsThrough(
  coat: OpticalFilm,
  line: Spectrum,
  field: Spectrum,
  { lineMm, distanceMm }: { lineMm: number; distanceMm: number },
): Through {
  const plate = plateOf(coat);
  const [yLine, yField] = [luminance(over(plate, line)), luminance(over(plate, field))];
  const arcmin = (OPTICS_BENCH.arcminPerRadian * lineMm) / distanceMm;
  const limit =
    OPTICS_BENCH.weberFraction *
    Math.max(1, OPTICS_BENCH.riccoArcmin / arcmin) *
    OPTICS_BENCH.brushNoise;
  const contrast = Math.abs(yLine - yField) / yField;
  return { contrast, limit, de: between(plate, line, field), shows: contrast > limit };
}
