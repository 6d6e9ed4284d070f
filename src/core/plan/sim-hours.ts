import type { Compiled } from './compile';
import { PLAN_CLOCKS, type PlanProblem } from './problem';

export const MINUTE_MS = 60_000;

/**
 * The working hours as a simulation asks for them: when each window opens and how long it is, and by every clock (row
 * `c` of PLAN_CLOCKS) the dose at its opening and closing. Within one window the dose is taken as straight: it lasts
 * some hours, and a night's change of rate is not in it. `grid` tells the first window that is still open at a dose, by
 * cells of equal dose.
 */
export interface SimHours {
  count: number;
  opens: Float64Array;
  minutes: Float64Array;
  open: Float64Array;
  close: Float64Array;
  perMinute: Float64Array;
  minutesPer: Float64Array;
  /** Cells of a clock's grid, and cells per reference-day of each clock. */
  cells: number;
  scale: Float64Array;
  grid: Int32Array;
}

const CELLS_PER_WINDOW = 8;
/** Drying that stands still, reference-days a minute. */
const STANDSTILL = 1e-12;

export function simHours(problem: PlanProblem, { slots, tableFor }: Compiled): SimHours {
  const count = slots.first.length;
  const cells = Math.max(1, count * CELLS_PER_WINDOW);
  const hours: SimHours = {
    count,
    opens: new Float64Array(count),
    minutes: new Float64Array(count),
    open: new Float64Array(PLAN_CLOCKS.length * count),
    close: new Float64Array(PLAN_CLOCKS.length * count),
    perMinute: new Float64Array(PLAN_CLOCKS.length * count),
    minutesPer: new Float64Array(PLAN_CLOCKS.length * count),
    cells,
    scale: new Float64Array(PLAN_CLOCKS.length),
    grid: new Int32Array(PLAN_CLOCKS.length * (cells + 1)),
  };
  for (let w = 0; w < count; w++) {
    const room = slots.end[w]! - slots.first[w]!;
    hours.opens[w] = room > 0 ? slots.start[slots.first[w]!]! : problem.windows[w]!.fromMs;
    hours.minutes[w] = (room * slots.ms) / MINUTE_MS;
  }
  PLAN_CLOCKS.forEach((kind, c) => {
    const table = tableFor(kind);
    const row = c * count;
    for (let w = 0; w < count; w++) {
      const opens = hours.opens[w]!;
      const minutes = hours.minutes[w]!;
      hours.open[row + w] = table.doseAt(opens);
      hours.close[row + w] = table.doseAt(opens + MINUTE_MS * minutes);
      const rise = hours.close[row + w]! - hours.open[row + w]!;
      hours.perMinute[row + w] = Math.max(STANDSTILL, rise / (minutes || 1));
      hours.minutesPer[row + w] = 1 / hours.perMinute[row + w]!;
    }
    const last = count > 0 ? hours.close[row + count - 1]! : 0;
    const scale = last > 0 ? cells / last : 0;
    hours.scale[c] = scale;
    for (let k = 0, w = 0; k <= cells; k++) {
      while (w < count && hours.close[row + w]! * scale <= k) w += 1;
      hours.grid[c * (cells + 1) + k] = w;
    }
  });
  return hours;
}
