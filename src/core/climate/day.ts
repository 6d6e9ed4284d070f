import { z } from 'zod';
import { climateSchema, type Climate } from '../drying';
import { HOUR_MS, type ClimateHour } from './readings';

export const HOURS_PER_DAY = 24;

/** A day by the hour, UTC: what the air is expected to be when nobody has measured it. */
export interface DayPattern {
  temperatureC: number[];
  relativeHumidityPct: number[];
}

const hourOfDay = z
  .number()
  .int()
  .min(0)
  .max(HOURS_PER_DAY - 1);

/** Two levels: heated or lit from one hour to another, something else for the rest of the day. Local hours. */
export const dayNightSchema = z.object({
  dayFromHour: hourOfDay,
  dayToHour: hourOfDay,
  night: climateSchema.pick({ temperatureC: true, relativeHumidityPct: true }),
});
export type DayNight = z.infer<typeof dayNightSchema>;

export const constantDay = (climate: Climate): DayPattern => ({
  temperatureC: Array<number>(HOURS_PER_DAY).fill(climate.temperatureC),
  relativeHumidityPct: Array<number>(HOURS_PER_DAY).fill(climate.relativeHumidityPct),
});

const isDay = (hour: number, { dayFromHour: from, dayToHour: to }: DayNight): boolean =>
  from <= to ? hour >= from && hour < to : hour >= from || hour < to;

/** @param utcOffsetHours local time minus UTC; a clock change moves the pattern by an hour and nothing else */
export function dayNightDay(
  climate: Climate,
  dayNight: DayNight,
  utcOffsetHours: number,
): DayPattern {
  const at = (utcHour: number) => {
    const local =
      (((utcHour + Math.round(utcOffsetHours)) % HOURS_PER_DAY) + HOURS_PER_DAY) % HOURS_PER_DAY;
    return isDay(local, dayNight) ? climate : dayNight.night;
  };
  const hours = Array.from({ length: HOURS_PER_DAY }, (_, h) => at(h));
  return {
    temperatureC: hours.map((h) => h.temperatureC),
    relativeHumidityPct: hours.map((h) => h.relativeHumidityPct),
  };
}

/** What readings say of the days to come. */
export interface LearnedDay {
  pattern: DayPattern;
  /** Standard deviation of a day's mean temperature about the pattern, C. */
  dailySdC: number;
  /** How much of one day's difference is left the next day, 0 to 1. */
  persistence: number;
  /** Days the readings stand for. */
  days: number;
}

/** The weather of the last weeks says most about the next: days older than this are not asked. */
const MEMORY_DAYS = 28;
/** Below this many hours of readings there is no pattern to be learned. */
const LEAST_HOURS = 24;
/** A guess for the spread of days until a week of them is there; judgement. */
const GUESS_SD_C = 1.5;
const GUESS_PERSISTENCE = 0.7;
const ENOUGH_DAYS = 7;
const MOST_PERSISTENCE = 0.95;

const mean = (xs: number[]): number => xs.reduce((s, x) => s + x, 0) / xs.length;

/**
 * The daily pattern of the last four weeks of readings: the mean of each hour of the day, and how far and how
 * long days stray from it. Hours of the day without readings take the pattern's neighbours. Null when there is
 * less than a day of readings.
 */
export function learnDay(hours: ClimateHour[]): LearnedDay | null {
  const last = hours.at(-1);
  if (!last) return null;
  const recent = hours.filter((h) => h[0] > last[0] - MEMORY_DAYS * HOURS_PER_DAY);
  if (recent.length < LEAST_HOURS) return null;
  const pattern = patternOf(recent);
  const byDay = new Map<number, number[]>();
  for (const [hour, t] of recent) {
    const day = Math.floor(hour / HOURS_PER_DAY);
    const stray = t - pattern.temperatureC[hour % HOURS_PER_DAY]!;
    const list = byDay.get(day);
    if (list) list.push(stray);
    else byDay.set(day, [stray]);
  }
  const strays = [...byDay].map(([day, list]) => ({ day, stray: mean(list) }));
  const sd = Math.sqrt(mean(strays.map((s) => s.stray ** 2)));
  const pairs = strays.flatMap((s, i) => {
    const next = strays[i + 1];
    return next && next.day === s.day + 1 ? [s.stray * next.stray] : [];
  });
  const enough = strays.length >= ENOUGH_DAYS && sd > 0;
  return {
    pattern,
    dailySdC: enough ? sd : Math.max(sd, GUESS_SD_C),
    persistence:
      enough && pairs.length > 0
        ? Math.min(MOST_PERSISTENCE, Math.max(0, mean(pairs) / sd ** 2))
        : GUESS_PERSISTENCE,
    days: strays.length,
  };
}

function patternOf(hours: ClimateHour[]): DayPattern {
  const sums = Array.from({ length: HOURS_PER_DAY }, () => ({ t: 0, rh: 0, n: 0 }));
  for (const [hour, t, rh] of hours) {
    const sum = sums[hour % HOURS_PER_DAY]!;
    sum.t += t;
    sum.rh += rh;
    sum.n += 1;
  }
  const filled = sums.map((sum, h) => {
    let back = 0;
    while (sums[(h - back + HOURS_PER_DAY) % HOURS_PER_DAY]!.n === 0) back += 1;
    return sum.n > 0 ? sum : sums[(h - back + HOURS_PER_DAY) % HOURS_PER_DAY]!;
  });
  return {
    temperatureC: filled.map(({ t, n }) => t / n),
    relativeHumidityPct: filled.map(({ rh, n }) => rh / n),
  };
}

/** Standard deviation of the temperature `daysAhead` from the last reading: grows from nothing to that of any day. */
export const bandSdC = ({ dailySdC, persistence }: LearnedDay, daysAhead: number): number =>
  dailySdC * Math.sqrt(1 - persistence ** (2 * Math.max(0, daysAhead)));

/** Standard deviation of the mean temperature of the next `days`: independent days average out, lasting ones do not. */
export function meanBandSdC(learned: LearnedDay, days: number): number {
  const { dailySdC, persistence: p } = learned;
  if (days <= 0) return 0;
  const n = Math.max(1, days);
  // Variance of the mean of n terms of a first-order autoregression.
  const spread = (1 + p) / (1 - p) - (2 * p * (1 - p ** n)) / (n * (1 - p) ** 2);
  const known = bandSdC(learned, days) / dailySdC;
  return dailySdC * Math.sqrt(Math.max(0, spread / n)) * (dailySdC > 0 ? known : 0);
}

export const hourStart = (hour: number): number => hour * HOUR_MS;
