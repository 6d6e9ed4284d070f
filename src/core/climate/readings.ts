import { CLIMATE_MONTH_VERSION } from '../editions';
import type { ClimateHour, ClimateMonth } from './readings-schema';

export const HOUR_MS = 3_600_000;

/** What a thermometer and a hygrometer said at a moment. */
export interface Reading {
  atMs: number;
  temperatureC: number;
  relativeHumidityPct: number;
}

/** A logger's clock may run ahead, by a zone and a little at most; and none is older than this. Judgement. */
const AHEAD_MS = 36 * HOUR_MS;
const EARLIEST_MS = Date.UTC(1990, 0, 1);

/** Whether a reading can have been made then, as seen from now; ms since 1970. */
export const isPlausibleTime = (atMs: number, nowMs: number): boolean =>
  atMs >= EARLIEST_MS && atMs <= nowMs + AHEAD_MS;

/** No reading is later than this, the year 2200: months have names of four figures. */
export const LATEST_MS = Date.UTC(2200, 0, 1);

export const READING_LIMITS = {
  temperatureC: { min: -30, max: 60 },
  relativeHumidityPct: { min: 0, max: 100 },
} as const;

/** The document a reading belongs to, "2026-02", by UTC. @param hour hours since 1970 */
export const monthOf = (hour: number): string =>
  new Date(hour * HOUR_MS).toISOString().slice(0, 'YYYY-MM'.length);

function meanOf(hour: ClimateHour | undefined, reading: Reading): ClimateHour {
  const at = Math.floor(reading.atMs / HOUR_MS);
  if (!hour) return [at, reading.temperatureC, reading.relativeHumidityPct, 1];
  const [, t, rh, n] = hour;
  const mean = (old: number, x: number) => (old * n + x) / (n + 1);
  return [at, mean(t, reading.temperatureC), mean(rh, reading.relativeHumidityPct), n + 1];
}

/** Readings as hours, each the mean of its own. */
export function hoursOf(readings: Reading[]): ClimateHour[] {
  const hours = new Map<number, ClimateHour>();
  for (const reading of readings) {
    const at = Math.floor(reading.atMs / HOUR_MS);
    hours.set(at, meanOf(hours.get(at), reading));
  }
  return [...hours.values()].sort((a, b) => a[0] - b[0]);
}

/** Two records of the same hours: each hour is told by the one that holds more readings; ties by `a`. */
export function mergeHours(a: ClimateHour[], b: ClimateHour[]): ClimateHour[] {
  const hours = new Map(a.map((h) => [h[0], h]));
  for (const h of b) {
    const known = hours.get(h[0]);
    if (!known || h[3] > known[3]) hours.set(h[0], h);
  }
  return [...hours.values()].sort((x, y) => x[0] - y[0]);
}

const newMonth = (id: string): ClimateMonth => ({
  schemaVersion: CLIMATE_MONTH_VERSION,
  id,
  revision: 0,
  hours: [],
});

/**
 * Months with hours taken into them; only the months that changed come back. An hour that is known already is
 * told by whichever record holds more readings, so the same file taken in twice changes nothing.
 */
export function takeHours(
  months: Record<string, ClimateMonth | undefined>,
  hours: ClimateHour[],
): ClimateMonth[] {
  const byMonth = new Map<string, ClimateHour[]>();
  for (const hour of hours) {
    const id = monthOf(hour[0]);
    const list = byMonth.get(id);
    if (list) list.push(hour);
    else byMonth.set(id, [hour]);
  }
  return [...byMonth].flatMap(([id, list]) => {
    const month = months[id] ?? newMonth(id);
    const merged = mergeHours(month.hours, list);
    const same =
      merged.length === month.hours.length && merged.every((h, i) => h === month.hours[i]);
    return same ? [] : [{ ...month, revision: month.revision + 1, hours: merged }];
  });
}

/** A month with one more reading of a live logger in it: the mean of its hour moves. */
export function takeReading(month: ClimateMonth | undefined, reading: Reading): ClimateMonth {
  const at = Math.floor(reading.atMs / HOUR_MS);
  const known = month ?? newMonth(monthOf(at));
  const i = known.hours.findIndex((h) => h[0] === at);
  const hour = meanOf(known.hours[i], reading);
  const hours =
    i === -1 ? mergeHours(known.hours, [hour]) : known.hours.map((h, j) => (j === i ? hour : h));
  return { ...known, revision: known.revision + 1, hours };
}

/** Two tabs that wrote one month: hour by hour, the fuller record holds. */
export const mergeMonths = (mine: ClimateMonth, theirs: ClimateMonth): ClimateMonth => ({
  ...mine,
  hours: mergeHours(mine.hours, theirs.hours),
  revision: Math.max(mine.revision, theirs.revision) + 1,
});
