import type { ConstantRow } from './constants';
import { lowRow, valuesOf } from './rows';

/** What is taken for granted of a correction that nobody measured. */
export const CORRECTION_ROWS = {
  /** A film of oil rubbed on and off again. */
  oilingOutUm: lowRow(
    2,
    'um',
    'a couch is rubbed off until it only shines: common practice, no source',
  ),
  /** A coat that covers what was painted out. */
  coverUm: lowRow(40, 'um', 'one brush coat of white covers: common practice, no source'),
  /** A touch of paint here and there. */
  dabShare: lowRow(0.02, 'share of the passage'),
  /** A spot whose share nobody said. */
  spotShare: lowRow(0.05, 'share of the passage'),
} as const satisfies Record<string, ConstantRow>;

export const CORRECTIONS = valuesOf(CORRECTION_ROWS);
