import { NEW_PLAN_RECORD } from './record';
import { letGo, pinWorks, takeBusy, unpinWorks, waitUntil } from './record-edit';

const NOON = Date.UTC(2026, 1, 20, 12);
const iso = (ms: number) => new Date(ms).toISOString();
const changedOnly = (before: object, after: object): string[] =>
  Object.keys(after).filter(
    (key) => (after as Record<string, unknown>)[key] !== (before as Record<string, unknown>)[key],
  );

test('a pin takes the place of the last one of the same work, and of its wait', () => {
  const waited = waitUntil(NEW_PLAN_RECORD, ['a', 'b'], NOON);
  const pinned = pinWorks(pinWorks(waited, { a: NOON }), { a: NOON + 3_600_000 });
  expect(pinned.pins).toEqual([{ id: 'a', at: iso(NOON + 3_600_000) }]);
  expect(pinned.waits).toEqual([{ id: 'b', until: iso(NOON) }]);
});

test('“not this week” takes the pin off; a second one counts', () => {
  const pinned = pinWorks(NEW_PLAN_RECORD, { a: NOON, b: NOON });
  const waited = waitUntil(waitUntil(pinned, ['a'], NOON), ['a'], NOON + 86_400_000);
  expect(waited.pins.map((p) => p.id)).toEqual(['b']);
  expect(waited.waits).toEqual([{ id: 'a', until: iso(NOON + 86_400_000) }]);
});

test('what was ruled is taken back, of the named works only', () => {
  const ruled = waitUntil(pinWorks(NEW_PLAN_RECORD, { a: NOON, b: NOON }), ['c', 'd'], NOON);
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
