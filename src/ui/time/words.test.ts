import { about, duration, shortTime, stretch } from './words';

// Local time of the machine, as a painter's clock is.
const at = (day: number, hour: number, minute = 0, month = 1, year = 2026) =>
  new Date(year, month, day, hour, minute).getTime();
const now = at(17, 10, 15);

test('what takes years has no day', () => {
  const now = Date.UTC(2026, 1, 17, 10);
  const years = (n: number) => now + n * 365.25 * 86_400_000;
  expect(shortTime(years(1.5), now)).toMatch(/^\d+ \w{3} 2027$/);
  expect(shortTime(years(4), now)).toBe('2030');
  expect(shortTime(years(45), now)).toBe('decades on');
  expect(stretch(years(4), years(60), now)).toBe('2030 to decades on');
});

test('near times are told by the clock, days by their name, far ones by their date', () => {
  expect(shortTime(at(17, 16, 50), now)).toBe('16:50');
  expect(shortTime(at(19, 8), now)).toBe('Thu 19');
  expect(shortTime(at(20, 8, 0, 2), now)).toBe('Fri 20 Mar');
  expect(shortTime(at(20, 8, 0, 2, 2027), now)).toBe('20 Mar 2027');
});

test('two marks are one stretch, in order', () => {
  expect(stretch(at(19, 8), at(21, 8), now)).toBe('Thu 19 to Sat 21');
  expect(stretch(at(21, 8), at(19, 8), now)).toBe('Thu 19 to Sat 21');
  expect(stretch(at(18, 7), at(18, 11), now)).toBe('Wed 18, 07–11 h');
  expect(stretch(at(17, 16), at(17, 18), now)).toBe('16–18 h');
});

test('about is rounded to ten minutes while minutes mean something', () => {
  expect(about(at(17, 16, 3), now)).toBe('about 16:00');
  expect(about(at(18, 9, 57), now)).toBe('about Wed 10:00');
  expect(about(at(21, 9, 57), now)).toBe('about Sat 21');
});

test.each([
  [9 / 1440, '9 min'],
  [0.5, '12 h'],
  [2.39, '2.4 d'],
  [21, '3 wk'],
  [182, '6 mo'],
])('%f days are %s', (days, words) => expect(duration(days)).toBe(words));
