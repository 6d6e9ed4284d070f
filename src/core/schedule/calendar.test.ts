import {
  dateIn,
  daylightOf,
  mondayOf,
  momentOf,
  workWindows,
  type CalendarInput,
} from './calendar';

const ZONE = 'Europe/Berlin';
const at = (iso: string) => Date.parse(iso);
const evenings: CalendarInput = {
  hours: {
    week: Array.from({ length: 7 }, () => [{ from: 18 * 60, to: 20 * 60 }]),
    daylightOnly: false,
  },
  exceptions: [],
  busy: [],
  timeZone: ZONE,
  latitudeDeg: 52,
  fromMs: at('2026-03-27T08:00:00Z'),
  days: 3,
  cleaningMinutes: 15,
  leastMinutes: 30,
};
const told = (input: CalendarInput) =>
  workWindows(input).map(({ fromMs, toMs }) => [
    new Date(fromMs).toISOString().slice(0, 16),
    new Date(toMs).toISOString().slice(11, 16),
  ]);

test('local hours keep their place on the clock across a change of it', () => {
  // Summer time begins in central Europe on the last Sunday of March at 1:00 UTC (Directive 2000/84/EC): 29 March 2026.
  expect(told(evenings)).toEqual([
    ['2026-03-27T17:00', '18:45'],
    ['2026-03-28T17:00', '18:45'],
    ['2026-03-29T16:00', '17:45'],
    ['2026-03-30T16:00', '17:45'],
  ]);
});

test('the hour that a clock change leaves out', () => {
  expect(new Date(momentOf('2026-03-29', 150, ZONE)).toISOString()).toBe(
    '2026-03-29T01:30:00.000Z',
  );
});

test('away, an extra day, and something else in the way', () => {
  const input: CalendarInput = {
    ...evenings,
    exceptions: [
      { id: '1', kind: 'away', from: '2026-03-28', to: '2026-03-29', hours: null },
      {
        id: '2',
        kind: 'extra',
        from: '2026-03-29',
        to: '2026-03-29',
        hours: { from: 600, to: 720 },
      },
    ],
    busy: [{ fromMs: at('2026-03-30T16:30:00Z'), toMs: at('2026-03-30T17:00:00Z') }],
  };
  expect(told(input)).toEqual([
    ['2026-03-27T17:00', '18:45'],
    ['2026-03-29T08:00', '09:45'],
    // Half an hour before it less the cleaning is too little; the hour after it is not.
    ['2026-03-30T17:00', '17:45'],
  ]);
});

test('only by daylight: work ends a quarter of an hour before the sun sets', () => {
  const [first] = workWindows({
    ...evenings,
    hours: { ...evenings.hours, daylightOnly: true },
    leastMinutes: 5,
  });
  const light = daylightOf('2026-03-27', ZONE, 52)!;
  expect(first!.toMs).toBe(light.toMs - 15 * 60_000);
});

test('where the sun does not rise, and where it does not set', () => {
  expect(daylightOf('2026-12-21', 'Europe/Oslo', 78)).toBeNull();
  const day = daylightOf('2026-06-21', 'Europe/Oslo', 78)!;
  expect(day.toMs - day.fromMs).toBe(86_400_000);
});

test('nothing before the present, and the rest of the hours that run', () => {
  const running = { ...evenings, fromMs: at('2026-03-27T17:20:00Z'), days: 0 };
  expect(told(running)).toEqual([['2026-03-27T17:20', '18:45']]);
  expect(told({ ...running, fromMs: at('2026-03-27T18:30:00Z') })).toEqual([]);
});

test('overlapping hours are one stretch', () => {
  const week = evenings.hours.week.map(() => [
    { from: 600, to: 700 },
    { from: 650, to: 800 },
  ]);
  expect(told({ ...evenings, hours: { week, daylightOnly: false }, days: 0 })).toEqual([
    ['2026-03-27T09:00', '12:05'],
  ]);
});

test('weeks begin on Monday, days are local', () => {
  expect(mondayOf(at('2026-03-29T23:30:00Z'), ZONE)).toBe('2026-03-30');
  expect(mondayOf(at('2026-03-29T21:30:00Z'), ZONE)).toBe('2026-03-23');
  expect(dateIn(at('2026-03-29T23:30:00Z'), 'America/New_York')).toBe('2026-03-29');
});
