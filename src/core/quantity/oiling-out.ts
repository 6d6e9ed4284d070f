import { mediumFigures, type MediumPart } from '../film';
import type { Handbook } from '../handbook';
import { CoreError } from '../errors';

export interface OilingOutDose {
  wetMl: number;
  drops: number;
  /** What stays, um, before it is wiped. */
  dryThicknessUm: number;
  tooFat: boolean;
}

/**
 * How much medium to rub over an area, in drops: a film of about 2 um is left.
 * @param thicknessUm of what should stay; the usual when absent. Throws `area-range`, `target-range`.
 */
export function oilingOutDose(
  handbook: Handbook,
  medium: MediumPart[],
  areaCm2: number,
  thicknessUm: number = handbook.constants.oilingOutUm,
): OilingOutDose {
  if (!(areaCm2 > 0)) throw new CoreError('area-range', 'areaCm2', 'The area must be above 0 cm².');
  const { solidsVolumeFraction } = mediumFigures(medium);
  if (solidsVolumeFraction === 0)
    throw new CoreError(
      'target-range',
      'medium',
      'This medium leaves nothing behind. Add some oil.',
    );
  const wetMl = (areaCm2 * thicknessUm * 1e-4) / solidsVolumeFraction;
  const { dropMl, oilingOutMaxSolids, oilingOutMaxUm } = handbook.constants;
  return {
    wetMl,
    drops: wetMl / dropMl,
    dryThicknessUm: thicknessUm,
    tooFat: solidsVolumeFraction > oilingOutMaxSolids + 1e-9 || thicknessUm > oilingOutMaxUm,
  };
}
