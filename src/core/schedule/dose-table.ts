import { DAY_MS } from '../drying';
import type { PlanClock } from './problem';

/** A clock as a table, so that a search may ask it a million times. */
export interface DoseTable {
  doseAt(ms: number): number;
  /** Infinity when drying stands still before the dose is reached. */
  timeOf(dose: number): number;
}

/** Table of a film that the air does not change: an hour is an hour. */
export const wallTable = (nowMs: number): DoseTable => ({
  doseAt: (ms) => (ms - nowMs) / DAY_MS,
  timeOf: (dose) => nowMs + dose * DAY_MS,
});

/** Clock of waits that the air does not change. */
export const WALL_CLOCK = (nowMs: number): PlanClock => wallTable(nowMs);

const HOUR_MS = DAY_MS / 24;
/** Rates below this are a standstill, reference-days an hour. */
const STANDSTILL = 1e-7;

/**
 * The dose hour by hour from `nowMs`, straight between; beyond the table it goes on at the mean rate of its last
 * week. The inverse goes by a grid of doses with about one step an hour, so that both ways are constant time.
 */
export function doseTable(clock: PlanClock, nowMs: number, untilMs: number): DoseTable {
  const hours = Math.max(24, Math.ceil((untilMs - nowMs) / HOUR_MS));
  const dose = new Float64Array(hours + 1);
  for (let h = 0; h <= hours; h++) dose[h] = clock.doseAt(nowMs + h * HOUR_MS);
  const total = dose[hours]!;
  const week = Math.min(hours, 168);
  const beyond = (total - dose[hours - week]!) / week;
  const step = total > 0 ? total / hours : 1;
  const lowest = new Int32Array(hours + 2);
  for (let k = 0, h = 0; k <= hours + 1; k++) {
    while (h < hours && dose[h + 1]! <= k * step) h += 1;
    lowest[k] = Math.min(h, hours - 1);
  }
  return {
    doseAt(ms) {
      const at = (ms - nowMs) / HOUR_MS;
      if (at <= 0) return 0;
      if (at >= hours) return total + (at - hours) * beyond;
      const h = at | 0;
      return dose[h]! + (at - h) * (dose[h + 1]! - dose[h]!);
    },
    timeOf(value) {
      if (value <= 0) return nowMs;
      if (value >= total)
        return beyond < STANDSTILL
          ? Infinity
          : nowMs + (hours + (value - total) / beyond) * HOUR_MS;
      let h = lowest[(value / step) | 0]!;
      while (dose[h + 1]! < value) h += 1;
      const rise = dose[h + 1]! - dose[h]!;
      return nowMs + (h + (rise > 0 ? (value - dose[h]!) / rise : 0)) * HOUR_MS;
    },
  };
}
