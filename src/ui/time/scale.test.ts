import fc from 'fast-check';
import { timeScale, timeScaleWithin } from './scale';

const DAY_MS = 86_400_000;
const WEEK = { width: 350, fromMs: 0, toMs: 7 * DAY_MS };

test('a week across 350 px: a day is 50', () => {
  const x = timeScale(WEEK);
  expect([x(0), x(DAY_MS), x(7 * DAY_MS), x(-DAY_MS), x(8 * DAY_MS)]).toEqual([
    0, 50, 350, -50, 400,
  ]);
});

test('held within, nothing is drawn beyond the edges', () => {
  const x = timeScaleWithin(WEEK);
  expect([x(-DAY_MS), x(DAY_MS), x(8 * DAY_MS)]).toEqual([0, 50, 350]);
});

test('later is never further left', () => {
  fc.assert(
    fc.property(fc.integer({ min: -1e12, max: 1e12 }), fc.nat(1e9), fc.nat(1e9), (from, a, b) => {
      const x = timeScale({ width: 300, fromMs: from, toMs: from + 1e9 });
      const [early, late] = [from + Math.min(a, b), from + Math.max(a, b)];
      expect(x(early)).toBeLessThanOrEqual(x(late));
    }),
  );
});
