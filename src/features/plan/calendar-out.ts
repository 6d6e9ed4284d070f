import ical, {
  ICalAlarmType,
  ICalCalendarMethod,
  ICalEventTransparency,
  type ICalCalendar,
} from 'ical-generator';

/** One thing for a calendar: work, a window in which a film gets dry, a date. */
export interface CalendarEntry {
  /** The same as long as the thing is the same, whenever it is: so that a second import moves it. */
  key: string;
  kind: 'work' | 'dry' | 'due';
  fromMs: number;
  toMs: number;
  summary: string;
  description: string;
}

interface Options {
  nowMs: number;
  /** Counts up with every change of the plan. */
  sequence: number;
  /** Minutes before work at which the calendar rings; null: it does not. */
  alarmMinutes: number | null;
}

/**
 * The package draws an id for every entry before it takes ours, by a function that browsers only have on secure pages;
 * a studio's own server is often none. What it draws is never used.
 */
function allowUnusedIds(): void {
  if (typeof crypto.randomUUID !== 'function')
    Object.defineProperty(crypto, 'randomUUID', {
      value: () => '00000000-0000-4000-8000-000000000000',
      configurable: true,
    });
}

const DOMAIN = 'tawny-hour.invalid';
const SECONDS = 60;

/** Ids hold slashes and hashes; a UID is plainer to every reader without them. */
export const uidOf = (entry: Pick<CalendarEntry, 'key' | 'kind'>): string =>
  `${entry.kind}-${entry.key.replace(/[^\w.-]+/g, '-')}@${DOMAIN}`;

/**
 * An iCalendar file (RFC 5545). All times are written in UTC, so they are right in every zone and across a change of
 * the clock. Only work takes up the painter's time; windows and dates are marked free.
 */
export function calendarFile(entries: CalendarEntry[], options: Options): string {
  allowUnusedIds();
  const calendar: ICalCalendar = ical({
    name: 'Tawny Hour',
    prodId: { company: 'Tawny Hour', product: 'plan', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const entry of entries) {
    const event = calendar.createEvent({
      id: uidOf(entry),
      start: new Date(entry.fromMs),
      end: new Date(entry.toMs),
      stamp: new Date(options.nowMs),
      summary: entry.summary,
      description: entry.description,
      sequence: options.sequence,
      transparency:
        entry.kind === 'work' ? ICalEventTransparency.OPAQUE : ICalEventTransparency.TRANSPARENT,
    });
    if (entry.kind === 'work' && options.alarmMinutes !== null)
      event.createAlarm({
        type: ICalAlarmType.display,
        triggerBefore: options.alarmMinutes * SECONDS,
        description: entry.summary,
      });
  }
  return calendar.toString();
}
