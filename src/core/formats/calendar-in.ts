import ICAL from 'ical.js';

/** Times taken by something else, ms. */
export interface Busy {
  fromMs: number;
  toMs: number;
}

/** More occurrences of one entry than this within the time that is asked for are not followed: three a day for a year. */
const MOST_OCCURRENCES = 1100;
/** Nor is it followed further than this from its beginning: a daily one for a hundred years. */
const MOST_STEPS = 36_525;

const LONGEST_MS = 7 * 86_400_000;

const isFree = (component: ICAL.Component): boolean =>
  component.getFirstPropertyValue('transp') === 'TRANSPARENT' ||
  component.getFirstPropertyValue('status') === 'CANCELLED';

const span = (start: ICAL.Time, end: ICAL.Time): Busy => ({
  fromMs: start.toJSDate().getTime(),
  toMs: end.toJSDate().getTime(),
});

function occurrences(event: ICAL.Event, fromMs: number, toMs: number): Busy[] {
  if (!event.isRecurring()) return [span(event.startDate, event.endDate)];
  const out: Busy[] = [];
  const iterator = event.iterator();
  for (let k = 0; k < MOST_STEPS && out.length < MOST_OCCURRENCES; k++) {
    const next = iterator.next();
    if (!next) break;
    // What is long over is passed over by its beginning, without looking closer; an entry lasts a week at most there.
    if (next.toJSDate().getTime() < fromMs - LONGEST_MS) continue;
    const { startDate, endDate, item } = event.getOccurrenceDetails(next);
    const busy = span(startDate, endDate);
    if (busy.fromMs > toMs) break;
    if (busy.toMs >= fromMs && !isFree(item.component)) out.push(busy);
  }
  return out;
}

/** Entries of one calendar that take time, between two moments. */
function busyIn(calendar: ICAL.Component, fromMs: number, toMs: number): Busy[] {
  for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
  const events = calendar.getAllSubcomponents('vevent').map((c) => new ICAL.Event(c));
  const masters = events.filter((e) => !e.isRecurrenceException());
  // An occurrence that was moved belongs to the entry it was moved from.
  for (const exception of events.filter((e) => e.isRecurrenceException()))
    masters.find((m) => m.uid === exception.uid)?.relateException(exception);
  return masters
    .filter((e) => !isFree(e.component) && e.startDate)
    .flatMap((e) => occurrences(e, fromMs, toMs));
}

/**
 * Busy times of an iCalendar file between two moments: entries that take time, each time they recur, in their own time
 * zones; what they are called is not read. Throws a RangeError that says what is wrong with the file.
 */
export function busyOf(text: string, fromMs: number, toMs: number): Busy[] {
  let calendars: ICAL.Component[];
  try {
    const parsed = ICAL.parse(text) as unknown[];
    const list = typeof parsed[0] === 'string' ? [parsed] : parsed;
    calendars = list.map((c) => new ICAL.Component(c as never));
  } catch (error) {
    throw new RangeError(
      `This is not a calendar file (.ics). ${error instanceof Error ? error.message : ''}`.trim(),
    );
  }
  if (!calendars.some((c) => c.name === 'vcalendar'))
    throw new RangeError('This is not a calendar file (.ics): it has no VCALENDAR.');
  let busy: Busy[];
  try {
    busy = calendars.flatMap((calendar) => busyIn(calendar, fromMs, toMs));
  } catch {
    // The reader says it in terms of its own, and only when it comes to the date or rule in question.
    throw new RangeError(
      'A date or a rule in this calendar is damaged. Export it again from where it comes from, or take the entry with the strange date out there.',
    );
  }
  return busy
    .filter((b) => b.toMs > fromMs && b.fromMs < toMs && b.toMs > b.fromMs)
    .sort((a, b) => a.fromMs - b.fromMs);
}
