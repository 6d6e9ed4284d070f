import { CoreError } from '../errors';
import type { Compiled } from './compile';
import { PLAN_CLOCKS, type PlanProblem } from './problem';

const MINUTE_MS = 60_000;
/** Ticks a minute: about a second each, finer than anything that is known here. */
export const TICKS = 64;
export const TICK_MS = MINUTE_MS / TICKS;
/**
 * A moment of a simulation is one whole number: the window in the upper bits, the ticks since it opened in the lower
 * ones. The later of two moments is then the greater number, and no list needs two. A window has less than 34 hours.
 */
export const WINDOW_BITS = 17;
export const TICK_MASK = (1 << WINDOW_BITS) - 1;
const MOST_WINDOWS = 1 << (30 - WINDOW_BITS);

/**
 * The working hours as a simulation asks for them: when each window opens and how many ticks it has, and by every
 * clock (row `c` of PLAN_CLOCKS, `row` long) the dose at its opening and closing. Within one window the dose is taken
 * as straight: it lasts some hours, and a night's change of rate is not in it. `grid` tells the first window that is
 * still open at a dose, by cells of equal dose. Behind the last window stands one more that means never: it has room
 * for everything and closes at no dose, so that no search for a place has to look where the hours end.
 */
export interface SimHours {
  count: number;
  row: number;
  opens: Float64Array;
  ticks: Int32Array;
  open: Float64Array;
  close: Float64Array;
  perTick: Float64Array;
  ticksPer: Float64Array;
  /** Cells of a clock's grid, and cells per reference-day of each clock. */
  cells: number;
  scale: Float64Array;
  grid: Uint16Array;
}

const CELLS_PER_WINDOW = 32;
/** A dose no film has, reference-days: the dose at the end of what is never done. */
const NEVER_DOSE = 1e6;
/** With less than this from its opening to its closing, reference-days, nothing dries within a window. */
const STANDSTILL = 1e-3;
/** Ticks of the window that means never: room for all works of a plan on top of each other. */
const ENDLESS = 1 << 28;

/** The hours for work as the play of chances sees them: moments as whole numbers, doses of the air at each. */
export function simHours(problem: PlanProblem, { slots, tableFor }: Compiled): SimHours {
  const count = slots.first.length;
  if (count >= MOST_WINDOWS)
    throw new CoreError(
      'plan-unreadable',
      'windows',
      `The odds can be told for at most ${MOST_WINDOWS - 1} stretches of working hours; these are ${count}. Plan a shorter time.`,
    );
  const row = count + 1;
  const cells = Math.max(1, count * CELLS_PER_WINDOW);
  const rows = (): Float64Array => new Float64Array(PLAN_CLOCKS.length * row);
  const hours: SimHours = {
    count,
    row,
    opens: new Float64Array(row).fill(Infinity),
    ticks: new Int32Array(row).fill(ENDLESS),
    open: rows(),
    close: rows(),
    perTick: rows(),
    ticksPer: rows(),
    cells,
    scale: new Float64Array(PLAN_CLOCKS.length),
    grid: new Uint16Array(PLAN_CLOCKS.length * (cells + 1)),
  };
  for (let w = 0; w < count; w++) {
    const room = slots.end[w]! - slots.first[w]!;
    hours.opens[w] = room > 0 ? slots.start[slots.first[w]!]! : problem.windows[w]!.fromMs;
    hours.ticks[w] = Math.min(TICK_MASK, Math.round((room * slots.ms) / TICK_MS));
  }
  PLAN_CLOCKS.forEach((kind, c) => {
    const table = tableFor(kind);
    const first = c * row;
    for (let w = 0; w < count; w++) {
      const opens = hours.opens[w]!;
      const ticks = hours.ticks[w]!;
      hours.open[first + w] = table.doseAt(opens);
      hours.close[first + w] = table.doseAt(opens + ticks * TICK_MS);
      const rise = hours.close[first + w]! - hours.open[first + w]!;
      hours.perTick[first + w] = ticks > 0 ? rise / ticks : 0;
      hours.ticksPer[first + w] = rise > STANDSTILL ? ticks / rise : 0;
    }
    hours.open[first + count] = NEVER_DOSE;
    hours.close[first + count] = Infinity;
    const last = count > 0 ? hours.close[first + count - 1]! : 0;
    const scale = last > 0 ? cells / last : 0;
    hours.scale[c] = scale;
    for (let k = 0, w = 0; k <= cells; k++) {
      while (w < count && hours.close[first + w]! * scale <= k) w += 1;
      hours.grid[c * (cells + 1) + k] = w;
    }
  });
  return hours;
}
