import type { ConstantRow } from './constants';
import { lowRow, valuesOf } from './rows';

/** How far a repair or a wish may go, and in which steps a painter can follow it. */
export const REPAIR_ROWS = {
  thinnestUm: lowRow(5, 'um', 'thinnest coat that a brush lays evenly; judgement'),
  /** A cure adds at most this many volumes to one of paint. */
  mostAddedVolume: lowRow(4, 'volumes to one'),
  /** A wish adds at most half as much again: the cap on mediums decides long before. */
  mostWishedVolume: lowRow(0.5, 'volumes to one'),
  /** Above this share of medium there is no paint left to speak of. */
  mostMediumShare: lowRow(0.9, 'share of the mixture'),
  mostCloveShare: lowRow(
    0.02,
    'share of the mixture',
    'half a per cent is plenty: common practice, no source',
  ),
  /** Steps a painter sets a share in. */
  shareStep: lowRow(0.01, 'share of the mixture'),
  /** What a palette knife can measure: quarters of a part from a quarter up, else twentieths. */
  coarsePart: lowRow(0.25, 'parts'),
  finePart: lowRow(0.05, 'parts'),
  /** What waiting weighs against adding: behind small additions and before large ones. */
  waitWeighsMl: lowRow(
    2,
    'ml to 10 ml of paint',
    'a fifth of the paint is the usual most; judgement',
  ),
} as const satisfies Record<string, ConstantRow>;

export const REPAIRS = valuesOf(REPAIR_ROWS);
