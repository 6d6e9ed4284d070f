import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { format } from 'date-fns/format';
import { isSameDay } from 'date-fns/isSameDay';

/** Times as a painter says them. All in the local time of the studio. */

/** So far ahead nobody means a day, and then no year. */
const YEAR_ALONE_DAYS = 730;
const DECADES_DAYS = 20 * 365.25;

/**
 * "16:50" today, "Thu 19" within a week, "Thu 19 Mar" later, with the year when it is another one; from two years ahead
 * the year alone, from twenty "decades on".
 */
export function shortTime(ms: number, nowMs: number): string {
  const days = differenceInCalendarDays(ms, nowMs);
  if (days > DECADES_DAYS) return 'decades on';
  if (days > YEAR_ALONE_DAYS) return format(ms, 'yyyy');
  if (days === 0) return format(ms, 'HH:mm');
  if (Math.abs(days) <= 7) return format(ms, 'EEE d');
  return new Date(ms).getFullYear() === new Date(nowMs).getFullYear()
    ? format(ms, 'EEE d MMM')
    : format(ms, 'd MMM yyyy');
}

/** The hour as well while it is near: "16:50", "Thu 19 14:00"; farther off the day alone. */
export const nearTime = (ms: number, nowMs: number): string => {
  const days = differenceInCalendarDays(ms, nowMs);
  return days !== 0 && Math.abs(days) <= 3 ? format(ms, 'EEE d HH:mm') : shortTime(ms, nowMs);
};

/** Two marks as one stretch: "Thu 19 to Sat 21", "16:50 to 18:10", "Thu 19" when they fall on one day. */
export function stretch(fromMs: number, toMs: number, nowMs: number): string {
  const [from, to] = [fromMs, toMs].sort((a, b) => a - b) as [number, number];
  if (isSameDay(from, to)) {
    const day = isSameDay(from, nowMs) ? '' : `${format(from, 'EEE d')}, `;
    return `${day}${format(from, 'HH')}–${format(to, 'HH')} h`;
  }
  return `${shortTime(from, nowMs)} to ${shortTime(to, nowMs)}`;
}

/** "about 16:00" rounded to ten minutes for today and tomorrow, else the day. */
export function about(ms: number, nowMs: number): string {
  const rounded = Math.round(ms / 600_000) * 600_000;
  const days = differenceInCalendarDays(rounded, nowMs);
  if (days === 0) return `about ${format(rounded, 'HH:mm')}`;
  if (days === 1) return `about ${format(rounded, 'EEE HH:mm')}`;
  return `about ${shortTime(ms, nowMs)}`;
}

/** From two years on lengths are told in years. */
const MONTHS_TO_DAYS = 730;

/** A length of days: "40 min", "9 h", "2.4 d", "3 wk", "5 mo". */
export function duration(days: number): string {
  const minutes = days * 24 * 60;
  if (minutes < 90) return `${Math.max(1, Math.round(minutes))} min`;
  if (days < 1.5) return `${Math.round(days * 24)} h`;
  if (days < 14) return `${days.toFixed(1)} d`;
  if (days < 60) return `${Math.round(days / 7)} wk`;
  if (days < MONTHS_TO_DAYS) return `${Math.round(days / 30.4)} mo`;
  return `${Math.round(days / 365.25)} y`;
}

export const longDay = (ms: number): string => format(ms, 'EEEE d MMMM');
export const clock = (ms: number): string => format(ms, 'HH:mm');
/** Value of a datetime-local field. */
export const localInput = (ms: number): string => format(ms, "yyyy-MM-dd'T'HH:mm");
export const dayInput = (ms: number): string => format(ms, 'yyyy-MM-dd');
export const dayMonthYear = (ms: number): string => format(ms, 'd MMM yyyy');
export const dayMonth = (ms: number): string => format(ms, 'd MMM');
/** "Tue 3 Mar, 18:30". */
export const dayAndTime = (ms: number): string => format(ms, 'EEE d MMM, HH:mm');
/** The day of something that was: "today", "Thu 19 Nov", with the year when it is another one. */
export function sessionDay(ms: number, nowMs: number): string {
  if (isSameDay(ms, nowMs)) return 'today';
  return new Date(ms).getFullYear() === new Date(nowMs).getFullYear()
    ? format(ms, 'EEE d MMM')
    : format(ms, 'd MMM yyyy');
}
