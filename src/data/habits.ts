import type { ConstantRow } from './constants';
import { JUDGEMENT, lowRow, valuesOf } from './rows';

/** How fast the painter's own log takes the place of what is usual. */
export const HABIT_ROWS = {
  /** Sittings that the usual spread of minutes counts as. */
  spreadCounts: lowRow(8, 'sittings', JUDGEMENT),
  /** All works together never stray less than this: the mood of the weeks. */
  sharedLeast: lowRow(0.08, 'ln min', JUDGEMENT),
  /** Coats that were not done over, which everybody is taken to have laid before the log began. */
  redoCounts: lowRow(10, 'coats', JUDGEMENT),
  /** Between laying and taking down, from which on it was not the same session. */
  anotherDayHours: lowRow(12, 'h', JUDGEMENT),
  /** Days looked back on for hours held or missed, and hours that must be past before it is told. */
  lookBackDays: lowRow(56, 'd', JUDGEMENT),
  leastHours: lowRow(8, 'stretches of hours', JUDGEMENT),
} as const satisfies Record<string, ConstantRow>;

export const HABITS = valuesOf(HABIT_ROWS);
