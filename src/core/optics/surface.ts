import { FINISH_BY_REDUCED_PVC, FINISH_SHARE, OPTICS, type Finish } from '@/data/optics';
import type { Spectrum } from './spectrum';

const { surfaceOuter: K1, surfaceInner: K2 } = OPTICS;
const THROUGH = (1 - K1) * (1 - K2);

/**
 * What leaves the picture towards the eye, from the reflectance just below the surface: f k1 + (1-k1)(1-k2) R / (1 - k2 R),
 * f the share of the surface's own reflection that is seen. Saunderson, J. Opt. Soc. Am. 32 (1942). Once, at the outside:
 * never per coat.
 */
export function seen(inner: Spectrum, finish: Finish, into?: Spectrum): Spectrum {
  const out = into ?? new Float64Array(inner.length);
  const glare = FINISH_SHARE[finish] * K1;
  for (let i = 0; i < inner.length; i++)
    out[i] = glare + (THROUGH * inner[i]!) / (1 - K2 * inner[i]!);
  return out;
}

/** Back: the inner reflectance of what was seen; what is darker than the surface's own light is 0. */
export function innerOf(spectrum: Spectrum, finish: Finish): Spectrum {
  const glare = FINISH_SHARE[finish] * K1;
  return spectrum.map((s) => {
    const x = Math.max(0, s - glare);
    return Math.min(1, x / (THROUGH + K2 * x));
  });
}

/** Finish of a dry film by its reduced PVC; a film without pigment is glossy, one that lies sunk is matt. */
export function finishOf(film: { reducedPvc: number | null; sunk?: boolean }): Finish {
  if (film.reducedPvc === null) return 'gloss';
  if (film.sunk) return 'matt';
  return FINISH_BY_REDUCED_PVC.find(([below]) => film.reducedPvc! < below)?.[1] ?? 'matt';
}
