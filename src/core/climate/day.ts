import { WEATHER } from '@/data/weather';
import type { Climate } from '../drying';
import type { DayNight } from './day-schema';
import type { ClimateHour } from './readings-schema';

export const HOURS_PER_DAY = 24;

/** A day by the hour, UTC: what the air is expected to be when nobody has measured it. */
export interface DayPattern {
  temperatureC: number[];
  relativeHumidityPct: number[];
}

/** The day of a stated climate: every hour alike, and nothing that strays. */
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
  /** How far the last day strayed, C: what is left of it fades with the persistence. */
  lastStrayC: number;
  /** Days the readings stand for. */
  days: number;
}

/** Persistence estimated from n days about their own mean comes out too low by (1 + 3p)/n: Kendall, Biometrika 41 (1954); from memory. */
const unbiasedPersistence = (p: number, n: number): number =>
  Math.min(WEATHER.mostPersistence, Math.max(0, p + (1 + 3 * p) / n));

/** Variance of the mean of n days of a first-order autoregression, as a share of that of one day. */
const meanVariance = (p: number, n: number): number =>
  Math.max(0, ((1 + p) / (1 - p) - (2 * p * (1 - p ** n)) / (n * (1 - p) ** 2)) / n);

const mean = (xs: number[]): number => xs.reduce((s, x) => s + x, 0) / xs.length;

/**
 * The daily pattern of the last two weeks of readings: the mean of each hour of the day, and how far and how
 * long days stray from it. Hours of the day without readings take the pattern's neighbours. Null when there is
 * less than a day of readings.
 */
export function learnDay(hours: ClimateHour[]): LearnedDay | null {
  const last = hours.at(-1);
  if (!last) return null;
  const recent = hours.filter((h) => h[0] > last[0] - WEATHER.memoryDays * HOURS_PER_DAY);
  if (recent.length < WEATHER.leastHours) return null;
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
  const enough = strays.length >= WEATHER.enoughDays && sd > 0 && pairs.length > 0;
  const persistence = enough
    ? unbiasedPersistence(mean(pairs) / sd ** 2, strays.length)
    : WEATHER.guessPersistence;
  return {
    pattern,
    // The pattern is the mean of the same days, so it has taken a part of their spread with it.
    dailySdC: Math.sqrt(
      (WEATHER.guessDays * WEATHER.guessSdC ** 2 + strays.length * sd ** 2) /
        (WEATHER.guessDays +
          strays.length *
            Math.max(WEATHER.leastLeft, 1 - meanVariance(persistence, strays.length))),
    ),
    persistence,
    lastStrayC: mean(
      recent
        .filter((h) => h[0] > last[0] - HOURS_PER_DAY)
        .map(([hour, t]) => t - pattern.temperatureC[hour % HOURS_PER_DAY]!),
    ),
    days: strays.length,
  };
}

/** The hours after the last reading: the pattern, and what is left of the weather of the last day. */
export function hoursAhead(
  { pattern, persistence, lastStrayC }: LearnedDay,
  lastHour: number,
): ClimateHour[] {
  return Array.from({ length: WEATHER.fadingDays * HOURS_PER_DAY }, (_, i): ClimateHour => {
    const hour = lastHour + 1 + i;
    const h = hour % HOURS_PER_DAY;
    const left = lastStrayC * persistence ** ((i + 1) / HOURS_PER_DAY);
    return [hour, pattern.temperatureC[h]! + left, pattern.relativeHumidityPct[h]!, 1];
  });
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

/**
 * Standard deviation of the mean temperature over a stretch of days, by what is known at the last reading: that of
 * any such stretch, less the part that the last day foretells.
 * @param fromDays from the last reading to the beginning of the stretch
 */
export function meanBandSdC(learned: LearnedDay, fromDays: number, days: number): number {
  const { dailySdC, persistence: p } = learned;
  if (days <= 0) return 0;
  const n = Math.max(1, days);
  const foretold = (p ** Math.max(0, fromDays) * p * (1 - p ** n)) / (n * (1 - p));
  return dailySdC * Math.sqrt(Math.max(0, meanVariance(p, n) - foretold ** 2));
}
