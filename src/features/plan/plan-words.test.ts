import { byWhen, impossibleWords, inTwenty, minutesWord, partOfDay, percent } from './plan-words';
import { clockOf, minutesOfClock } from './clock-text';

const NOW = new Date(2026, 1, 17, 9).getTime();
const at = (day: number, hour: number, minute = 0) =>
  new Date(2026, 1, day, hour, minute).getTime();

test('chances in twenty are never rounded up to certainty', () => {
  expect(inTwenty(0.86)).toBe('17 in 20');
  expect(inTwenty(1)).toBe('20 in 20');
  expect(inTwenty(0.999)).toBe('almost sure');
  expect(inTwenty(0.98)).toBe('19 in 20');
  expect(inTwenty(0.01)).toBe('under 1 in 20');
  expect(inTwenty(0)).toBe('0 in 20');
  expect(percent(0.999)).toBe('> 99 %');
  expect(percent(0.001)).toBe('< 1 %');
  expect(percent(0.864)).toBe('86 %');
});

test('by when, as a painter says it', () => {
  expect(partOfDay(at(17, 9))).toBe('in the morning');
  expect(partOfDay(at(17, 13))).toBe('at noon');
  expect(partOfDay(at(17, 16))).toBe('in the afternoon');
  const row = (ms: number) => ({ day: '', untilMs: ms, chance: 1, p50Ms: ms });
  expect(byWhen(row(at(20, 20)), NOW)).toBe('Fri 20 in the evening');
  expect(byWhen(row(at(17, 20)), NOW)).toBe('today in the evening');
  expect(minutesWord(45)).toBe('45 min');
  expect(minutesWord(120)).toBe('2 h');
  expect(minutesWord(135)).toBe('2 h 15');
});

test('what cannot be had is said with what to do, or where it went', () => {
  const say = (what: Parameters<typeof impossibleWords>[0]) =>
    impossibleWords(what, () => 'Glaze: wall', NOW, 15);
  expect(say({ kind: 'no-room', work: 'w' })).toMatch(/Add hours, or take something out/);
  expect(say({ kind: 'no-sitting-long-enough', work: 'w', slots: 12, longest: 8 })).toMatch(
    /needs 3 h in one sitting; your longest is 2 h/,
  );
  expect(say({ kind: 'pin-too-early', work: 'w', pinMs: at(18, 18), startMs: at(20, 18) })).toMatch(
    /cannot be at Wed 18, 18:00.*It stands at Fri 20, 18:00\./,
  );
  expect(say({ kind: 'pin-outside-hours', work: 'w', pinMs: at(18, 3) })).toMatch(
    /outside your hours/,
  );
  // Of today the hour is said once.
  expect(say({ kind: 'pin-outside-hours', work: 'w', pinMs: at(17, 22) })).toMatch(
    /pinned to today, 22:00, outside/,
  );
  expect(
    say({ kind: 'pins-meet', work: 'w', other: 'x', pinMs: at(18, 18), startMs: at(20, 18) }),
  ).toMatch(/and Glaze: wall are both pinned to Wed 18, 18:00\. .* stands at Fri 20, 18:00/);
  expect(say({ kind: 'never-dry', work: 'w' })).toMatch(/Warm the studio/);
  expect(say({ kind: 'missed-wet', work: 'w', into: ['x'] })).toMatch(/waits until that is dry/);
});

test('times as they are typed', () => {
  expect(minutesOfClock('18:30')).toBe(1110);
  expect(minutesOfClock('24:00')).toBe(1440);
  for (const wrong of ['25:00', '18:75', 'six', '']) expect(minutesOfClock(wrong)).toBeNull();
  expect(clockOf(1110)).toBe('18:30');
});
