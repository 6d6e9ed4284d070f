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

/**
 * Ids hold slashes and hashes; a UID is plainer to every reader without them. Each is written as its own code, so that
 * two ids never become one.
 */
export const uidOf = (entry: Pick<CalendarEntry, 'key' | 'kind'>): string =>
  `${entry.kind}-${entry.key.replace(/[^\w.-]/gu, (sign) => `~${sign.codePointAt(0)!.toString(16)}~`)}@${DOMAIN}`;

/** Control characters have no place in a line of a calendar; a pasted title may bring them along. */
const plain = (text: string): string => text.replace(/\p{Cc}+/gu, ' ').trim();

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
      summary: plain(entry.summary),
      description: entry.description.split('\n').map(plain).join('\n'),
      sequence: options.sequence,
      transparency:
        entry.kind === 'work' ? ICalEventTransparency.OPAQUE : ICalEventTransparency.TRANSPARENT,
    });
    if (entry.kind === 'work' && options.alarmMinutes !== null)
      event.createAlarm({
        type: ICalAlarmType.display,
        triggerBefore: options.alarmMinutes * SECONDS,
        description: plain(entry.summary),
      });
  }
  const text = calendar.toString();
  // Every line ends so (RFC 5545, 3.1), the last one too.
  return text.endsWith('\r\n') ? text : `${text}\r\n`;
}
