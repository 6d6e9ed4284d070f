import { nearestWindow, neighbourWindow, placesIn } from './move';
import type { PlannedSession } from './result';

const HOUR = 3_600_000;
const windows = [0, 1, 2].map((d) => ({ fromMs: d * 24 * HOUR, toMs: d * 24 * HOUR + 2 * HOUR }));
const work = (id: string, startMs: number, hours: number, pinned = false) => ({
  id,
  project: 'p',
  startMs,
  endMs: startMs + hours * HOUR,
  pinned,
});

test('the window before and the one after; none past the ends', () => {
  expect(neighbourWindow(windows, HOUR, 1)).toBe(windows[1]);
  expect(neighbourWindow(windows, 25 * HOUR, -1)).toBe(windows[0]);
  expect(neighbourWindow(windows, HOUR, -1)).toBeNull();
  expect(neighbourWindow(windows, 50 * HOUR, 1)).toBeNull();
});

test('a drop goes to the nearest hours', () => {
  expect(nearestWindow(windows, 20 * HOUR)).toBe(windows[1]);
  expect(nearestWindow([], 0)).toBeNull();
});

test('works keep their order, behind what is pinned there', () => {
  const there: PlannedSession = {
    window: 1,
    fromMs: 24 * HOUR,
    toMs: 25 * HOUR,
    works: [work('held', 24 * HOUR, 0.5, true), work('free', 24.5 * HOUR, 0.5)],
  };
  const moved = [work('a', 0, 0.5), work('b', 0.5 * HOUR, 1)];
  expect(placesIn(moved, windows[1]!, [there], HOUR / 4)).toEqual({
    a: 24.5 * HOUR,
    b: 25 * HOUR,
  });
  expect(placesIn([work('long', 0, 2)], windows[1]!, [there], HOUR / 4)).toBeNull();
});
