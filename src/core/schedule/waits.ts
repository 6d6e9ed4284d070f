import type { Compiled } from './compile';
import type { DoseTable } from './dose-table';
import type { Lag } from './problem';

/** A wait as numbers: the works are places. `from` is -1 for a film that is laid already. */
export interface WaitN {
  from: number;
  table: DoseTable;
  dose: number;
  lag: Lag;
}
/** The same, as it is asked for by a search. */
export interface LagN extends WaitN {
  /** What `slotAfter` and `doneAfter` have answered, by the slot in which the other begins; 0: not asked yet. */
  slots: Int32Array | null;
  doneMs: Float64Array | null;
}
export interface WetN {
  /** -1 for paint that is laid already. */
  from: number;
  film: number;
  table: DoseTable;
  dose: number;
  had: number;
  sameSitting: boolean;
  dryDose: number;
  /** What `closedAfter` has answered, by the slot in which the other begins; 0: not asked yet. */
  closedMs: Float64Array | null;
}

/** When what is waited for is ready, by the end of the work it waits for (or by now, where it is laid already). */
export const readyAt = ({ table, dose, lag }: WaitN, endMs: number): number =>
  lag.after === null
    ? table.timeOf(dose - lag.had)
    : lag.stage === 'order'
      ? endMs
      : table.timeOf(table.doseAt(endMs) + dose);

/**
 * The first slot that is ready by a wait, by the slot in which the work it waits for begins. Kept for each: a search asks
 * the same of the clocks a million times.
 */
export function slotAfter({ slots, length }: Compiled, lag: LagN, begun: number): number {
  lag.slots ??= new Int32Array(slots.count);
  const known = lag.slots[begun]!;
  if (known > 0) return known - 1;
  const t = slots.from(readyAt(lag, slots.start[begun]! + length[lag.from]! * slots.ms));
  lag.slots[begun] = t + 1;
  return t;
}

/** When what is waited for is ready, ms, by the slot in which the work it waits for begins. */
export function doneAfter({ slots, length }: Compiled, lag: LagN, begun: number): number {
  lag.doneMs ??= new Float64Array(slots.count);
  const known = lag.doneMs[begun]!;
  if (known !== 0) return known;
  return (lag.doneMs[begun] = readyAt(lag, slots.start[begun]! + length[lag.from]! * slots.ms));
}

/** The latest end of a work that is laid into another, by the first stroke of the other. */
export const closesAt = ({ from, table, dose, had }: WetN, startMs: number): number =>
  table.timeOf(from < 0 ? dose - had : table.doseAt(startMs) + dose);

/** The same by the slot in which the other begins. */
export function closedAfter({ slots }: Compiled, wet: WetN, begun: number): number {
  wet.closedMs ??= new Float64Array(slots.count);
  const known = wet.closedMs[begun]!;
  if (known !== 0) return known;
  return (wet.closedMs[begun] = closesAt(wet, slots.start[begun]!));
}

/** When paint that was meant to be caught open is touch-dry instead. */
export const driesAt = ({ from, table, dryDose, had }: WetN, endMs: number): number =>
  table.timeOf(from < 0 ? dryDose - had : table.doseAt(endMs) + dryDose);
