import type { DryingTimes } from '../drying';

/**
 * How much of the lower film's drying is still to come when it is covered, over the drying time of the cover:
 * max(0, through(lower) - dose)/through(upper). Large: the upper closes over a film that still moves. A house
 * index, no school; over 3 is doubtful, over 10 warns (judgement).
 * @param doseDays the lower film has had by then, reference-days
 */
export const trapIndex = (lower: DryingTimes, upper: DryingTimes, doseDays: number): number =>
  Math.max(0, lower.through.median - doseDays) / upper.through.median;
