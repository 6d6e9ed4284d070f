import fc from 'fast-check';
import { heldAt, hoursAbout, joined, shownFrom, STEP, stretched, type Stretch } from './week-hours';

const DAY = 24 * 60;
const stretch = fc
  .tuple(fc.nat(DAY / STEP - 2), fc.integer({ min: 1, max: DAY / STEP }))
  .map(([a, n]): Stretch => ({ from: a * STEP, to: Math.min(DAY, (a + n) * STEP) }));

test('however it is dragged, a stretch stays in its day and at least a quarter of an hour long', () => {
  fc.assert(
    fc.property(
      stretch,
      fc.constantFrom('from' as const, 'all' as const, 'to' as const),
      fc.integer({ min: -2000, max: 2000 }),
      (was, held, by) => {
        const now = stretched(was, held, by);
        expect(now.from).toBeGreaterThanOrEqual(0);
        expect(now.to).toBeLessThanOrEqual(DAY);
        expect(now.to - now.from).toBeGreaterThanOrEqual(STEP);
        if (held === 'all') expect(now.to - now.from).toBe(was.to - was.from);
        if (held === 'from') expect(now.to).toBe(was.to);
        if (held === 'to') expect(now.from).toBe(was.from);
      },
    ),
  );
});

test('stretches that meet are one, and every minute of them is kept', () => {
  fc.assert(
    fc.property(fc.array(stretch, { maxLength: 6 }), (hours) => {
      const day = joined(hours);
      const covers = (list: Stretch[], m: number) => list.some((h) => m >= h.from && m < h.to);
      for (let m = 0; m < DAY; m += STEP) expect(covers(day, m)).toBe(covers(hours, m));
      expect(day.every((h, i) => i === 0 || h.from > day[i - 1]!.to)).toBe(true);
    }),
  );
});

test('a tap puts two hours about it, inside the day', () => {
  expect(hoursAbout(19 * 60)).toEqual({ from: 18 * 60, to: 20 * 60 });
  expect(hoursAbout(DAY)).toEqual({ from: 22 * 60, to: DAY });
  expect(hoursAbout(3)).toEqual({ from: 0, to: 120 });
});

test('the picture begins at six, or with the earliest hour', () => {
  expect(shownFrom([[{ from: 600, to: 700 }]])).toBe(360);
  expect(shownFrom([[{ from: 275, to: 700 }], []])).toBe(240);
});

test('the ends of a stretch are taken hold of at its ends', () => {
  expect([heldAt(3, 120, 22), heldAt(60, 120, 22), heldAt(110, 120, 22)]).toEqual([
    'from',
    'all',
    'to',
  ]);
  // A short one leaves a third for each.
  expect([heldAt(5, 30, 22), heldAt(15, 30, 22), heldAt(25, 30, 22)]).toEqual([
    'from',
    'all',
    'to',
  ]);
});
