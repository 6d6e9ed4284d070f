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
  /** Parts from this share on are all of it: three thirds typed as 33 %. */
  wholeFrom: lowRow(0.985, 'share of the passage', 'three times 33 % is 99 %; judgement'),
  /** Entries further back are asked about before they are kept. */
  longAgoDays: lowRow(365, 'd'),
  /** Entries so long before a painting was begun here are asked about. */
  beforeBegunDays: lowRow(60, 'd'),
  /** A spot whose share nobody said. */
  spotShare: lowRow(0.05, 'share of the passage'),
} as const satisfies Record<string, ConstantRow>;

export const CORRECTIONS = valuesOf(CORRECTION_ROWS);
