import { NEW_PLAN_RECORD } from './record';
import { keepOut, letGo, pinWorks, takeBusy, timesOf, unpinWorks } from './record-edit';

const NOON = Date.UTC(2026, 1, 20, 12);
const WEEK_MS = 7 * 86_400_000;
const week = (k: number) => ({ fromMs: NOON + k * WEEK_MS, toMs: NOON + (k + 1) * WEEK_MS });
const iso = (ms: number) => new Date(ms).toISOString();
const changedOnly = (before: object, after: object): string[] =>
  Object.keys(after).filter(
    (key) => (after as Record<string, unknown>)[key] !== (before as Record<string, unknown>)[key],
  );

test('a pin takes the place of the last one of the same work, and of its wait', () => {
  const waited = keepOut(NEW_PLAN_RECORD, ['a', 'b'], week(0));
  const pinned = pinWorks(pinWorks(waited, { a: NOON }), { a: NOON + 3_600_000 });
  expect(pinned.pins).toEqual([{ id: 'a', at: iso(NOON + 3_600_000) }]);
  expect(pinned.waits.map((w) => w.id)).toEqual(['b']);
});

test('“not this week” takes the pin off; a second week is kept out besides, the same week only once', () => {
  const pinned = pinWorks(NEW_PLAN_RECORD, { a: NOON, b: NOON });
  const twice = [week(0), week(3), week(0)].reduce((r, w) => keepOut(r, ['a'], w), pinned);
  expect(twice.pins.map((p) => p.id)).toEqual(['b']);
  expect(twice.waits.flatMap(timesOf)).toEqual(
    [week(0), week(3)].map(({ fromMs, toMs }) => ({ from: iso(fromMs), until: iso(toMs) })),
  );
});

test('what was ruled is taken back, of the named works only', () => {
  const ruled = keepOut(pinWorks(NEW_PLAN_RECORD, { a: NOON, b: NOON }), ['c', 'd'], week(0));
  expect(unpinWorks(ruled, ['a']).pins.map((p) => p.id)).toEqual(['b']);
  expect(letGo(ruled, ['c']).waits.map((w) => w.id)).toEqual(['d']);
  expect(changedOnly(ruled, unpinWorks(ruled, ['a'])).sort()).not.toContain('waits');
});

test('a calendar read again takes the place of the last reading; others stay', () => {
  const calendar = (id: string, hour: number) => ({
    id,
    importedAt: iso(NOON),
    times: [[iso(NOON), iso(NOON + hour * 3_600_000)]] as [string, string][],
  });
  const twice = [calendar('x', 1), calendar('y', 1), calendar('x', 2)].reduce(
    takeBusy,
    NEW_PLAN_RECORD,
  );
  expect(twice.busy.map((b) => [b.id, b.times[0]![1]])).toEqual([
    ['y', iso(NOON + 3_600_000)],
    ['x', iso(NOON + 7_200_000)],
  ]);
});
