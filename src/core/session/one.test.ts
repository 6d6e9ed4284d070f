import { making, NOW_MS } from '../tests/paintings';
import { endedByAnother, forgottenEndMs } from './one';
import { beginSession, endSession, sessionMinutes } from '.';
import type { Session } from './schema';

const HOUR = 3_600_000;
const at = (hours: number) => new Date(NOW_MS + hours * HOUR).toISOString();
const begun = (hours: number, plannedMinutes: number | null = 30): Session =>
  beginSession(
    {
      works: [
        { paintingId: 'p', passageIds: ['a'], coatId: null, name: 'Drawing', plannedMinutes },
      ],
      boxMinutes: null,
      goal: '',
    },
    making(at(hours)),
  );

test('of two that run the one begun last goes on; the other ends when it began', () => {
  const [first, second] = [begun(0, 300), begun(1)];
  for (const both of [
    [first, second],
    [second, first],
  ]) {
    const ended = endedByAnother(both);
    expect(ended.map((s) => [s.id, s.endedAt])).toEqual([[first.id, at(1)]]);
    expect(ended[0]!.works[0]!.stretches.at(-1)!.to).toBe(at(1));
  }
});

test('one forgotten elsewhere keeps no days: an hour, or what was planned, after the last thing noted', () => {
  const ended = endedByAnother([begun(-72, null), begun(-48, 90), begun(0)]);
  expect(ended.map((s) => sessionMinutes(s, NOW_MS))).toEqual([60, 90]);
});

test('a session in which nothing was noted for hours was probably forgotten', () => {
  const session = begun(-20, 30);
  expect(forgottenEndMs(session, NOW_MS)).toBe(NOW_MS - 19.5 * HOUR);
  // Over what was planned, but it may well go on.
  expect(forgottenEndMs(session, NOW_MS - 18 * HOUR)).toBeNull();
  expect(forgottenEndMs(endSession(session, { now: at(-19) }), NOW_MS)).toBeNull();
});

test('where one runs, or none, nothing ends', () => {
  const over = endSession(begun(-3), { now: at(-2) });
  expect([endedByAnother([]), endedByAnother([over, begun(0)])]).toEqual([[], []]);
});
