import { useMemo } from 'react';
import { asTube, type CabinetPaint, type SwatchPatch } from '@/core/cabinet';
import { screenColour, type ScreenColour } from '@/core/optics';
import { patchLab, type Calibration } from '@/core/optics/calibrate';
import { correctionOf } from '@/core/optics/correction';
import { NO_SWATCHES } from '@/core/optics/composition';
import { calibrationWords, fitPatches, laidPatch } from '@/core/optics/fit-patches';
import { opticalPaint } from '@/core/optics/tubes';
import { useStoreSelector, useSwatches } from '@/store/hooks';

export interface Fit {
  calibration: Calibration | null;
  words: string[];
  /** Of each patch: as it was read, and as it is computed now. */
  drawn: { read: ScreenColour; computed: ScreenColour }[];
}

/** Patches fitted, with the painter's own whites; in a few milliseconds, so here and now. */
export function useFit(paint: CabinetPaint, patches: readonly SwatchPatch[] | null): Fit {
  const swatches = useSwatches();
  const paints = useStoreSelector((s) => s.cabinet.paints);
  return useMemo(() => {
    if (!patches) return { calibration: null, words: [], drawn: [] };
    const whiteOf = (id: string) => {
      const white = paints.find((p) => p.id === id);
      return white ? opticalPaint({ own: asTube(white) }, swatches) : null;
    };
    // What is fitted is the tube as the table has it, not as an earlier swatch left it.
    const table = opticalPaint({ own: asTube(paint) }, NO_SWATCHES);
    const calibration = fitPatches(table, patches, whiteOf);
    const fitted = { ...table, correction: correctionOf(table.pigments, calibration.multipliers) };
    return {
      calibration,
      words: calibrationWords(calibration),
      drawn: patches.map((patch) => ({
        read: screenColour(patch.lab),
        computed: screenColour(patchLab(fitted, laidPatch(patch, whiteOf), calibration.thickness)),
      })),
    };
  }, [paint, patches, paints, swatches]);
}
