import type { Constants } from '@/data/constants';

/**
 * Whether a film lies sunk, or will: so lean that it turns matt, or robbed of its oil by the ground.
 * Source: sinkingReducedPvc and sinkingLoss of the table of constants.
 */
export const isSunk = (
  film: { composition: { reducedPvc: number | null }; lossFraction: number },
  constants: Constants,
): boolean =>
  (film.composition.reducedPvc ?? 0) > constants.sinkingReducedPvc ||
  film.lossFraction >= constants.sinkingLoss;
