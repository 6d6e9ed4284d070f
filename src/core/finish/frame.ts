import { FINISH } from '@/data/finish';
import type { PaintingAssessment } from '../painting/layer';
import type { FrameFacts } from './schema';

/** The thickest place of a picture, mm above the ground. */
export const reliefMm = ({ passages }: PaintingAssessment): number =>
  Math.max(
    0,
    ...passages.flatMap(({ base, spots }) =>
      [base, ...spots].map(({ layers }) =>
        layers.filter((l) => !l.planned).reduce((sum, l) => sum + l.thicknessUm / 1000, 0),
      ),
    ),
  );

export interface FrameFit {
  reliefMm: number;
  /** From the lip back: spacer and relief, glass, support, backing. */
  neededMm: number;
  /** What is left behind it; below 0 the picture stands out at the back. */
  leftMm: number;
  /** The least spacer that keeps the paint off glass or lip. */
  leastSpacerMm: number;
  spacerEnough: boolean;
}

/**
 * Whether a picture goes into a frame: depth of the rebate against glass, spacer, support and board at the back; and
 * whether paint is kept off what lies before it.
 * @param dryThrough whether every film of it is through-dry: what is not needs air before it
 */
export function frameFit(
  { rebateMm, supportMm, glazed, spacerMm }: FrameFacts,
  relief: number,
  dryThrough: boolean,
): FrameFit {
  const leastSpacerMm = glazed || !dryThrough ? relief + FINISH.leastSpacerMm : relief;
  const neededMm =
    (glazed ? FINISH.glassMm : 0) + Math.max(spacerMm, relief) + supportMm + FINISH.backingMm;
  return {
    reliefMm: relief,
    neededMm,
    leftMm: rebateMm - neededMm,
    leastSpacerMm,
    spacerEnough: spacerMm >= leastSpacerMm - 1e-9,
  };
}
