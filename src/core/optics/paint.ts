import type { ColouredBinder } from '@/data/optics';
import { crowding, opticalFilm, pigmentSpectra, type Correction } from './pigments';
import { opaque, type OpticalFilm } from './films';
import { labOf, type Lab } from './colour';
import { BANDS, type Spectrum } from './spectrum';
import { seen } from './surface';

/** A tube, or a mix off the palette, as colour: what one um of it neat does. */
export interface OpticalPaint {
  /** Pigment solids per volume of paint, by pigment. */
  pigments: Record<string, number>;
  /** What the painter's swatches say of it against the table. */
  correction?: Correction;
  /** What it is ground in, for the colour of the binder. */
  binder?: ColouredBinder;
}

/** Neat paint per um, with the share of crowding white apart: what searches add up thousands of times. */
export interface PaintDepth {
  k: Spectrum;
  /** Scattering of what does not crowd. */
  s: Spectrum;
  /** Scattering of the whites that crowd, as if they stood alone without limit. */
  crowded: Spectrum;
  /** Volume of crowding white per volume of paint. */
  phi: number;
  solids: number;
}

/** @returns what a um of a neat paint adds to Kh and Sh, the binder's own colour left out */
export function depthOf({ pigments, correction }: OpticalPaint): PaintDepth {
  const k = new Float64Array(BANDS);
  const s = new Float64Array(BANDS);
  const crowded = new Float64Array(BANDS);
  let phi = 0;
  let solids = 0;
  for (const [pigment, um] of Object.entries(pigments)) {
    solids += um;
    const spectra = pigmentSpectra(pigment);
    if (!spectra) continue;
    const neat = um / spectra.pvc;
    if (spectra.crowds) phi += um;
    const scale = spectra.crowds ? crowding(spectra.pvc, 0) : 1;
    const to = spectra.crowds ? crowded : s;
    for (let i = 0; i < BANDS; i++) {
      k[i]! += neat * spectra.k[i]! * (correction?.k[i] ?? 1);
      to[i]! += neat * scale * spectra.s[i]! * (correction?.s[i] ?? 1);
    }
  }
  return { k, s, crowded, phi, solids };
}

/** A neat film of several paints: um of each. */
export function neatFilm(parts: readonly { paint: OpticalPaint; um: number }[]): OpticalFilm {
  const pigments = parts.flatMap(({ paint, um }) =>
    Object.entries(paint.pigments).map(([pigment, share]) => ({
      pigment,
      um: um * share,
      ...(paint.correction && { correction: paint.correction }),
    })),
  );
  const binders: Record<string, number> = {};
  let thicknessUm = 0;
  for (const { paint, um } of parts) {
    const solids = Object.values(paint.pigments).reduce((sum, v) => sum + v, 0);
    const binder = paint.binder ?? 'linseed';
    binders[binder] = (binders[binder] ?? 0) + um * (1 - solids);
    thicknessUm += um;
  }
  return opticalFilm({ pigments, binders, thicknessUm });
}

/** Lab of paints mixed by volume and laid so thick that nothing shows through. */
export const opaqueLab = (parts: readonly { paint: OpticalPaint; um: number }[]): Lab =>
  labOf(seen(opaque(neatFilm(parts)), 'oil-gloss'));

/** The pigment alone as a neat tube of the table, in linseed. */
export const tablePaintOf = (pigment: string): OpticalPaint => ({
  pigments: { [pigment]: pigmentSpectra(pigment)?.pvc ?? 0 },
});
