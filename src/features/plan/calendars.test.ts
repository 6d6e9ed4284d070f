/** @jest-environment node */
import ICAL from 'ical.js';
import { busyOf } from '@/core/formats/calendar-in';
import { calendarFile, uidOf, type CalendarEntry } from './calendar-out';

const at = (iso: string) => Date.parse(iso);
const GLAZE: CalendarEntry = {
  key: 'p1/c2/wall#2',
  kind: 'work',
  fromMs: at('2026-03-28T17:00:00Z'),
  toMs: at('2026-03-28T17:45:00Z'),
  summary: 'Glaze: wall; jars, and more (Quinces)',
  description: 'Line one\nline two',
};
const DUE: CalendarEntry = { ...GLAZE, kind: 'due', key: 'p1', summary: 'Quinces: due' };
const options = { nowMs: at('2026-02-17T09:00:00Z'), sequence: 7, alarmMinutes: 30 };

/** Read by another library than the one that wrote it. */
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((c) => ({
    event: new ICAL.Event(c),
    c,
  }));

describe('calendar out', () => {
  const events = read(calendarFile([GLAZE, DUE], options));

  test('an independent reader finds the same times and words', () => {
    const { event } = events[0]!;
    expect(event.startDate.toJSDate().toISOString()).toBe('2026-03-28T17:00:00.000Z');
    expect(event.endDate.toJSDate().toISOString()).toBe('2026-03-28T17:45:00.000Z');
    expect(event.summary).toBe(GLAZE.summary);
    expect(event.description).toBe(GLAZE.description);
    expect(event.sequence).toBe(7);
  });

  test('the same thing at another time keeps its UID, so a second import moves it', () => {
    const moved = read(
      calendarFile(
        [{ ...GLAZE, fromMs: GLAZE.fromMs + 86_400_000, toMs: GLAZE.toMs + 86_400_000 }],
        { ...options, sequence: 8 },
      ),
    );
    expect(moved[0]!.event.uid).toBe(events[0]!.event.uid);
    expect(moved[0]!.event.sequence).toBe(8);
    expect(uidOf(DUE)).not.toBe(uidOf(GLAZE));
  });

  test('two ids never share a UID, and every UID is plain', () => {
    const keys = ['a/b', 'a#b', 'a b', 'a-b', 'a~2f~b', 'a/b#2', 'ä/b'];
    const uids = keys.map((key) => uidOf({ key, kind: 'dry' }));
    expect(new Set(uids).size).toBe(keys.length);
    for (const uid of uids) expect(uid).toMatch(/^[\w.~@-]+$/);
  });

  test('a title that was pasted with control characters is written without them', () => {
    const text = calendarFile([{ ...GLAZE, summary: 'Quinces\u0007\tand\r\npears' }], options);
    expect(read(text)[0]!.event.summary).toBe('Quinces and pears');
  });

  test('work rings and takes time; a date does neither', () => {
    const trigger = events[0]!.c.getFirstSubcomponent('valarm')!.getFirstPropertyValue('trigger');
    expect(String(trigger)).toBe('-PT30M');
    expect(events[1]!.c.getFirstSubcomponent('valarm')).toBeNull();
    expect(events[1]!.c.getFirstPropertyValue('transp')).toBe('TRANSPARENT');
    expect(
      read(calendarFile([GLAZE], { ...options, alarmMinutes: null }))[0]!.c.getFirstSubcomponent(
        'valarm',
      ),
    ).toBeNull();
  });

  test('lines are folded at 75 octets and end in CRLF (RFC 5545, 3.1)', () => {
    const text = calendarFile([{ ...GLAZE, description: 'x'.repeat(300) }], options);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(text.startsWith('BEGIN:VCALENDAR\r\n')).toBe(true);
    expect(text.endsWith('END:VCALENDAR\r\n')).toBe(true);
  });
});

const FROM = at('2026-03-20T00:00:00Z');
const TO = at('2026-04-20T00:00:00Z');
const wrap = (lines: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//test//EN', ...lines, 'END:VCALENDAR'].join('\r\n');
/** Central European time as RFC 5545 writes it. */
const ZONE = [
  'BEGIN:VTIMEZONE',
  'TZID:Test/Berlin',
  'BEGIN:STANDARD',
  'DTSTART:19701025T030000',
  'RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU',
  'TZOFFSETFROM:+0200',
  'TZOFFSETTO:+0100',
  'END:STANDARD',
  'BEGIN:DAYLIGHT',
  'DTSTART:19700329T020000',
  'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU',
  'TZOFFSETFROM:+0100',
  'TZOFFSETTO:+0200',
  'END:DAYLIGHT',
  'END:VTIMEZONE',
];
const told = (text: string) =>
  busyOf(text, FROM, TO).map((b) => new Date(b.fromMs).toISOString().slice(0, 16));

describe('calendar in', () => {
  test('a weekly entry in its own zone keeps its hour across a change of the clock', () => {
    const weekly = [
      'BEGIN:VEVENT',
      'UID:a',
      'DTSTART;TZID=Test/Berlin:20260305T180000',
      'DTEND;TZID=Test/Berlin:20260305T190000',
      'RRULE:FREQ=WEEKLY;COUNT=6',
      'EXDATE;TZID=Test/Berlin:20260402T180000',
      'END:VEVENT',
    ];
    expect(told(wrap([...ZONE, ...weekly]))).toEqual(['2026-03-26T17:00', '2026-04-09T16:00']);
  });

  test('what is free or called off takes no time', () => {
    const one = (extra: string) => [
      'BEGIN:VEVENT',
      `UID:${extra}`,
      'DTSTART:20260401T100000Z',
      'DTEND:20260401T110000Z',
      extra,
      'END:VEVENT',
    ];
    expect(told(wrap([...one('TRANSP:TRANSPARENT'), ...one('STATUS:CANCELLED')]))).toEqual([]);
    expect(told(wrap(one('TRANSP:OPAQUE')))).toEqual(['2026-04-01T10:00']);
  });

  test('an occurrence that was moved', () => {
    const series = [
      'BEGIN:VEVENT',
      'UID:b',
      'DTSTART:20260401T100000Z',
      'DTEND:20260401T110000Z',
      'RRULE:FREQ=DAILY;COUNT=2',
      'END:VEVENT',
    ];
    const moved = [
      'BEGIN:VEVENT',
      'UID:b',
      'RECURRENCE-ID:20260402T100000Z',
      'DTSTART:20260402T150000Z',
      'DTEND:20260402T160000Z',
      'END:VEVENT',
    ];
    expect(told(wrap([...series, ...moved]))).toEqual(['2026-04-01T10:00', '2026-04-02T15:00']);
  });

  test('what this app exports can be read back', () => {
    expect(busyOf(calendarFile([GLAZE, DUE], options), FROM, TO)).toEqual([
      { fromMs: GLAZE.fromMs, toMs: GLAZE.toMs },
    ]);
  });

  test('a file that is no calendar is refused', () => {
    expect(() => busyOf('{"a":1}', FROM, TO)).toThrow(/not a calendar file/);
    expect(() => busyOf('', FROM, TO)).toThrow(/not a calendar file/);
  });
});

test('a daily rule begun long ago gives its times now, and one that never ends is bounded', () => {
  const rule = (start: string, rrule: string) =>
    [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'BEGIN:VEVENT',
      'UID:1',
      `DTSTART:${start}T090000Z`,
      `DTEND:${start}T100000Z`,
      `RRULE:${rrule}`,
      'END:VEVENT',
      'END:VCALENDAR',
    ].join('\r\n');
  const from = Date.parse('2026-11-28T00:00:00Z');
  const week = busyOf(rule('20100101', 'FREQ=DAILY'), from, from + 7 * 86_400_000);
  expect(week).toHaveLength(7);
  expect(new Date(week[0]!.fromMs).toISOString()).toBe('2026-11-28T09:00:00.000Z');
  expect(
    busyOf(rule('20261128', 'FREQ=SECONDLY'), from, from + 86_400_000).length,
  ).toBeLessThanOrEqual(1100);
});
