import { format } from 'date-fns/format';
import { isValid } from 'date-fns/isValid';
import { parse } from 'date-fns/parse';

/** Days as we write them and as they are typed; all in local time. The day stands before the month. */
const DAY_FORMATS = [
  'yyyy-MM-dd',
  'EEE d MMM yyyy',
  'd MMM yyyy',
  'd MMMM yyyy',
  'd.M.yyyy',
  'd/M/yyyy',
  'd MMM',
  'd MMMM',
];
const SHOWN_DAY = 'EEE d MMM yyyy';
const TIME = /^(.*?)(?:T|,\s*|\s+)(\d{1,2}):(\d{2})$/;
const FIRST_YEAR = 1000;
const LAST_YEAR = 9999;

function dayOf(text: string, nowMs: number): Date | null {
  for (const form of DAY_FORMATS) {
    const day = parse(text.trim(), form, new Date(nowMs));
    const year = day.getFullYear();
    if (isValid(day) && year >= FIRST_YEAR && year <= LAST_YEAR) return day;
  }
  return null;
}

/**
 * A day as it was typed, "3 Mar 2026", "3.3.2026" or "2026-03-03", as "2026-03-03"; null where it is none. A day
 * without a year is of the year of `nowMs`.
 */
export function parseDay(text: string, nowMs: number): string | null {
  const day = dayOf(text, nowMs);
  return day && format(day, 'yyyy-MM-dd');
}

/** A moment as it was typed, "3 Mar 2026, 18:30", as local "2026-03-03T18:30"; null where it is none. */
export function parseMoment(text: string, nowMs: number): string | null {
  const found = TIME.exec(text.trim());
  const day = found && parseDay(found[1]!, nowMs);
  if (!found || !day || Number(found[2]) > 23 || Number(found[3]) > 59) return null;
  return `${day}T${found[2]!.padStart(2, '0')}:${found[3]!}`;
}

/** "2026-03-03" as "Tue 3 Mar 2026"; what is no day stays as it is. */
export function showDay(day: string): string {
  const date = parse(day, 'yyyy-MM-dd', 0);
  return isValid(date) ? format(date, SHOWN_DAY) : day;
}

/** "2026-03-03T18:30" as "Tue 3 Mar 2026, 18:30"; what is no moment stays as it is. */
export function showMoment(moment: string): string {
  const date = parse(moment, "yyyy-MM-dd'T'HH:mm", 0);
  return isValid(date) ? format(date, `${SHOWN_DAY}, HH:mm`) : moment;
}
