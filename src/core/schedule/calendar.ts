import { TZDate } from '@date-fns/tz';
import { addDays } from 'date-fns/addDays';
import { getPosition, getTimes } from 'suncalc';
import { MINUTES_A_DAY } from '../plan-record/hours';
import type { CalendarException, WorkingHours } from '../plan-record/schema';
import type { WorkWindow } from './problem';

export interface CalendarInput {
  hours: WorkingHours;
  exceptions: CalendarException[];
  /** Times taken by something else, ms. */
  busy: { fromMs: number; toMs: number }[];
  /** IANA name of the time zone the hours are meant in. */
  timeZone: string;
  latitudeDeg: number;
  fromMs: number;
  days: number;
  /** Kept at the end of each stretch for cleaning, min. */
  cleaningMinutes: number;
  /** Shorter stretches are not worth laying out for, min. */
  leastMinutes: number;
}

const MINUTE_MS = 60_000;
const MINUTES_PER_DEGREE = 4;

/** A local date as YYYY-MM-DD. */
export const dateIn = (ms: number, timeZone: string): string => {
  const at = new TZDate(ms, timeZone);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
};

/** The moment of a minute of a local date; in the hour that a clock change leaves out, the one after it. */
export function momentOf(day: string, minuteOfDay: number, timeZone: string): number {
  const [year, month, date_] = day.split('-').map(Number) as [number, number, number];
  return new TZDate(
    year,
    month - 1,
    date_,
    Math.floor(minuteOfDay / 60),
    minuteOfDay % 60,
    timeZone,
  ).getTime();
}

/** Monday of the week of a moment, as a local date. */
export function mondayOf(ms: number, timeZone: string): string {
  const at = new TZDate(ms, timeZone);
  return dateIn(addDays(at, -((at.getDay() + 6) % 7)).getTime(), timeZone);
}

/** The local date so many days later, or earlier: "2026-02-17" and 1 give "2026-02-18". */
export const nextDay = (day: string, by: number): string =>
  new Date(Date.parse(`${day}T12:00:00Z`) + by * 86_400_000).toISOString().slice(0, 10);

/** Monday 0 to Sunday 6. */
const weekdayOf = (day: string): number => (new Date(`${day}T12:00:00Z`).getUTCDay() + 6) % 7;

/**
 * Sunrise and sunset of a local date. The longitude is taken from the zone's clock, good to half an hour or so.
 * Where the sun does not set, or not rise: the whole day, or nothing (null).
 */
export function daylightOf(
  day: string,
  timeZone: string,
  latitudeDeg: number,
): { fromMs: number; toMs: number } | null {
  const noon = momentOf(day, MINUTES_A_DAY / 2, timeZone);
  const offset = -new TZDate(noon, timeZone).getTimezoneOffset();
  const longitude = offset / MINUTES_PER_DEGREE;
  const { sunrise, sunset } = getTimes(new Date(noon), latitudeDeg, longitude);
  const rises = sunrise ? sunrise.getTime() : NaN;
  const sets = sunset ? sunset.getTime() : NaN;
  if (!Number.isNaN(rises) && !Number.isNaN(sets)) return { fromMs: rises, toMs: sets };
  return getPosition(new Date(noon), latitudeDeg, longitude).altitude > 0
    ? { fromMs: momentOf(day, 0, timeZone), toMs: momentOf(nextDay(day, 1), 0, timeZone) }
    : null;
}

type Stretch = WorkWindow;

const without = (stretches: Stretch[], taken: Stretch): Stretch[] =>
  stretches.flatMap((s) =>
    taken.toMs <= s.fromMs || taken.fromMs >= s.toMs
      ? [s]
      : [
          { fromMs: s.fromMs, toMs: Math.min(s.toMs, taken.fromMs) },
          { fromMs: Math.max(s.fromMs, taken.toMs), toMs: s.toMs },
        ].filter((part) => part.toMs > part.fromMs),
  );

const joined = (stretches: Stretch[]): Stretch[] => {
  const out: Stretch[] = [];
  for (const s of [...stretches].sort((a, b) => a.fromMs - b.fromMs)) {
    const last = out.at(-1);
    if (last && s.fromMs <= last.toMs) last.toMs = Math.max(last.toMs, s.toMs);
    else out.push({ ...s });
  }
  return out;
};

/**
 * Hours for work as moments, in order: the week's pattern, without days away, with extra days, only by daylight where
 * that is asked, without what is taken by something else; cleaning comes off the end of each stretch. Local hours keep
 * their place on the clock across a change of it.
 */
export function workWindows(input: CalendarInput): WorkWindow[] {
  const { hours, exceptions, timeZone, busy } = input;
  const out: Stretch[] = [];
  const taken = [...busy].sort((a, b) => a.fromMs - b.fromMs);
  const first = dateIn(input.fromMs, timeZone);
  for (let d = 0; d <= input.days; d++) {
    const day = nextDay(first, d);
    const here = exceptions.filter((e) => e.from <= day && day <= e.to);
    const off = here.some((e) => e.kind !== 'extra');
    const pattern = [
      ...(off ? [] : hours.week[weekdayOf(day)]!),
      ...here.flatMap((e) => (e.kind === 'extra' && e.hours ? [e.hours] : [])),
    ];
    if (pattern.length === 0) continue;
    const moments = pattern.map(({ from, to }) => ({
      fromMs: momentOf(day, from, timeZone),
      toMs:
        to === MINUTES_A_DAY ? momentOf(nextDay(day, 1), 0, timeZone) : momentOf(day, to, timeZone),
    }));
    const light = hours.daylightOnly ? daylightOf(day, timeZone, input.latitudeDeg) : undefined;
    if (light === null) continue;
    out.push(
      ...moments.flatMap(({ fromMs, toMs }) => {
        const from = light ? Math.max(fromMs, light.fromMs) : fromMs;
        const to = light ? Math.min(toMs, light.toMs) : toMs;
        return to > from ? [{ fromMs: from, toMs: to }] : [];
      }),
    );
  }
  let free = joined(out);
  for (const b of taken) free = without(free, b);
  return free
    .map(({ fromMs, toMs }) => ({
      fromMs: Math.max(fromMs, input.fromMs),
      toMs: toMs - input.cleaningMinutes * MINUTE_MS,
    }))
    .filter(({ fromMs, toMs }) => toMs - fromMs >= input.leastMinutes * MINUTE_MS);
}

/** A day with hours for work. */
export interface WorkingDay {
  /** Local date. */
  day: string;
  fromMs: number;
  untilMs: number;
}

/** The days with hours for work that begin by a moment. */
export function workingDays(
  { windows }: { windows: WorkWindow[] },
  untilMs: number,
  timeZone: string,
): WorkingDay[] {
  const out: WorkingDay[] = [];
  for (const { fromMs, toMs } of windows) {
    if (fromMs > untilMs) break;
    const day = dateIn(fromMs, timeZone);
    const last = out.at(-1);
    if (last?.day === day) last.untilMs = toMs;
    else out.push({ day, fromMs, untilMs: toMs });
  }
  return out;
}
