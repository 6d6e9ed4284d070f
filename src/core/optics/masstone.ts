import type { Constituents } from '../film';
import { filmOfConstituents, type Swatches } from './composition';
import { labOf, type Lab } from './colour';
import { opaque } from './films';
import { filmOfTubes } from './pigments';
import { seen } from './surface';

/** Paint as it lies on the palette: so thick that nothing shows through. Clear medium in it changes nothing. */
export function masstoneLab(film: Constituents, swatches: Swatches): Lab | null {
  const optical = filmOfConstituents(film, swatches);
  return optical && labOf(seen(opaque(optical), 'oil-gloss'));
}

const TINT_PARTS = 9;

/** One part of it in nine of titanium white, by volume: what a transparent dark tells of itself. */
export function tintLab(paint: Constituents, swatches: Swatches): Lab | null {
  const optical = filmOfConstituents(paint, swatches);
  if (!optical) return null;
  const white = filmOfTubes({ 'titanium-white': TINT_PARTS });
  return labOf(
    seen(
      opaque({
        kh: optical.kh.map((k, i) => k + white.kh[i]!),
        sh: optical.sh.map((s, i) => s + white.sh[i]!),
      }),
      'oil-gloss',
    ),
  );
}
