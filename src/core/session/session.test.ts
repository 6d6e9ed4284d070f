import { constantAir, REFERENCE_CLIMATE } from '../drying';
import { STUDIO_HANDBOOK } from '../handbook';
import { layCoat } from '../painting/events';
import { assessPainting, topLaid } from '../painting';
import { newPainting, NOW, NOW_MS, optionsAt } from '../tests/paintings';
import { refusal } from '../tests/refusal';
import { FLESH, part, recipe } from '../tests/recipes';
import {
  addPhoto,
  addWork,
  beginSession,
  changeMix,
  coverPalette,
  editSession,
  endSession,
  finishWork,
  keptMixes,
  knownMixes,
  isPaused,
  mergeSessions,
  noteLaid,
  minutesBetween,
  minutesByPainting,
  minutesWithin,
  paceOf,
  paletteWindow,
  pause,
  putDown,
  putOut,
  removePhoto,
  removeWork,
  resume,
  runningWork,
  servedBy,
  sessionMinutes,
  shareOut,
  takeUp,
  timeBoxOf,
  usesOil,
  workedMinutes,
  type Session,
} from '.';
import { toLayCm2, usualMinutes } from './pace';
import { sessionSchema } from './schema';

const START = Date.UTC(2026, 1, 17, 9);
const at = (minutes: number): string => new Date(START + minutes * 60_000).toISOString();
let n = 0;
const making = (minutes: number) => ({ now: at(minutes), newId: () => `s${++n}` });
const work = (name: string, plannedMinutes: number | null = 30) => ({
  paintingId: 'p',
  passageIds: ['a'],
  coatId: name,
  name,
  plannedMinutes,
});
const begun = (names = ['tone', 'glaze', 'scumble']): Session =>
  beginSession(
    { works: names.map((x) => work(x)), boxMinutes: 120, goal: ' the wall ' },
    making(0),
  );

test('the first work is in hand at once; done, the next is; the clock stands in pauses', () => {
  let s = begun();
  expect(s.goal).toBe('the wall');
  expect(runningWork(s)!.name).toBe('tone');
  s = finishWork(s, s.works[0]!.id, making(20));
  expect(runningWork(s)!.name).toBe('glaze');
  s = pause(s, making(30));
  expect(isPaused(s)).toBe(true);
  expect(runningWork(s)).toBeNull();
  expect(pause(s, making(31))).toBe(s);
  s = resume(s, making(50));
  expect(runningWork(s)!.name).toBe('glaze');
  const now = START + 60 * 60_000;
  expect(sessionMinutes(s, now)).toBe(40);
  expect(s.works.map((w) => workedMinutes(w, now))).toEqual([20, 20, 0]);
  const box = timeBoxOf(s, now);
  expect(box.leftMinutes).toBe(80);
  expect(box.works.map((w) => w.left)).toEqual([10, 10, 30]);
  s = endSession(s, making(70));
  // What is over stands still.
  expect(sessionMinutes(s, now + 1e9)).toBe(50);
  expect(sessionSchema.parse(s)).toEqual(s);
});

test('work is taken up, put down and taken up again; something else can be added', () => {
  let s = begun();
  s = takeUp(s, s.works[2]!.id, making(10));
  s = takeUp(s, s.works[0]!.id, making(15));
  expect(s.works.map((w) => workedMinutes(w, START + 20 * 60_000))).toEqual([15, 0, 5]);
  s = addWork(s, work('looking', null), making(20));
  expect(runningWork(s)!.name).toBe('tone');
  s = finishWork(s, s.works[0]!.id, making(22));
  s = finishWork(s, runningWork(s)!.id, making(23));
  s = finishWork(s, runningWork(s)!.id, making(24));
  expect(runningWork(s)).toBeNull();
  s = addWork(s, work('more'), making(30));
  expect(runningWork(s)!.name).toBe('more');
  expect(removeWork(s, s.works[0]!.id).works).toHaveLength(4);
});

test('a session that has ended is not worked in, and cannot end before it begins', () => {
  const s = endSession(begun(), making(10));
  expect(refusal(() => takeUp(s, s.works[0]!.id, making(20)))).toBe('order');
  expect(refusal(() => addWork(s, work('x'), making(20)))).toBe('order');
  expect(refusal(() => endSession(s, making(20)))).toBe('order');
  expect(refusal(() => takeUp(begun(), 'nobody', making(1)))).toBe('unknown-coat');
  expect(refusal(() => editSession(s, { endedAt: at(-10) }))).toBe('order');
  expect(editSession(s, { note: 'cool light', reached: 'partly' })).toMatchObject({
    note: 'cool light',
    reached: 'partly',
    revision: s.revision + 1,
  });
});

test('a beginning or an end that is corrected cuts the works to it, and all sums follow', () => {
  // Forgotten at the clock for twenty hours.
  const s = endSession(pause(begun(['tone']), making(60)), making(1200));
  const ended = editSession(s, { endedAt: at(90) });
  expect([sessionMinutes(ended, 0), workedMinutes(ended.works[0]!, 0)]).toEqual([60, 60]);
  const earlier = editSession(begun(['tone']), { startedAt: at(-30) });
  expect(workedMinutes(earlier.works[0]!, START + 10 * 60_000)).toBe(40);
  const later = editSession(ended, { startedAt: at(20) });
  expect(workedMinutes(later.works[0]!, 0)).toBe(40);
  // Put down is not done; what was shared out can be shared out anew.
  const mine = begun();
  const put = putDown(mine, mine.works[0]!.id, making(5));
  expect([runningWork(put), workedMinutes(put.works[0]!, 0)]).toEqual([null, 5]);
  expect(shareOut(mine, mine.works[1]!.id, 45).works[1]!.plannedMinutes).toBe(45);
});

test('a coat laid while a session runs belongs to it, once', () => {
  const s = begun(['tone']);
  const laid = { paintingId: 'p', passageIds: ['a'], coatId: 'tone', name: 'tone', done: true };
  expect(noteLaid(s, laid, making(9)).works.map((w) => w.done)).toEqual([true]);
  const other = noteLaid(s, { ...laid, coatId: 'veil', name: 'veil', done: false }, making(9));
  expect(other.works.map((w) => [w.name, w.done])).toEqual([
    ['tone', false],
    ['veil', false],
  ]);
  expect(noteLaid(other, { ...laid, coatId: 'veil', name: 'veil' }, making(10)).works).toHaveLength(
    2,
  );
});

test('mixes are kept from session to session, told by what they served, and mixed again', () => {
  const painting = newPainting();
  const coat = painting.coats[0]!;
  const before = endSession(
    putOut(begun(), { name: 'flesh', recipe: coat.recipe, ml: 4 }, making(1)),
    making(50),
  );
  const now = beginSession({ works: [], boxMinutes: null, goal: '' }, making(100));
  expect(keptMixes([before, now], now.id).map((k) => k.mix.name)).toEqual(['flesh']);
  expect(knownMixes([before, { ...before, id: 'again' }]).map((m) => [m.name, m.ml])).toEqual([
    ['flesh', 4],
  ]);
  const laid = layCoat(
    painting,
    { coatId: coat.id, passageIds: coat.passageIds, at: at(20), spot: null, intoWet: false },
    making(30),
  );
  expect(servedBy(before.palette[0]!, [laid])).toEqual([
    { coat: coat.name, painting: painting.title },
  ]);
  expect(servedBy({ ...before.palette[0]!, goneAt: at(10) }, [laid])).toEqual([]);
});

test('rags are spoken of after oil, not after acrylic or looking', () => {
  const painting = newPainting({ method: 'acrylic-under' });
  const [acrylic] = painting.coats;
  const oil = painting.coats.at(-1)!;
  const of = (coatId: string | null): Session =>
    beginSession(
      {
        works: [
          { paintingId: painting.id, passageIds: [], coatId, name: 'x', plannedMinutes: null },
        ],
        boxMinutes: null,
        goal: '',
      },
      making(0),
    );
  const paintings = { [painting.id]: painting };
  expect([acrylic!.id, oil.id, null].map((id) => usesOil(of(id), paintings))).toEqual([
    false,
    true,
    false,
  ]);
});

test('two tabs that log at once lose nothing', () => {
  const base = begun();
  const mine = putOut(base, { name: 'grey', recipe: recipe(FLESH), ml: 4 }, making(5));
  const photo = { id: 'ph', paintingId: 'p', takenAt: at(6), width: 10, height: 10 };
  const theirs = finishWork(addPhoto(base, photo), base.works[0]!.id, making(8));
  const merged = mergeSessions(base, mine, theirs);
  expect(merged.palette.map((m) => m.name)).toEqual(['grey']);
  expect(merged.photos).toEqual([photo]);
  expect(merged.works[0]!.done).toBe(true);
  expect(merged.revision).toBe(theirs.revision + 1);
  expect(removePhoto(merged, 'ph').photos).toEqual([]);
});

describe('the palette', () => {
  const air = constantAir(STUDIO_HANDBOOK.constants, REFERENCE_CLIMATE);
  const windowAt = (s: Session, minutes: number) =>
    paletteWindow(STUDIO_HANDBOOK, air, REFERENCE_CLIMATE, s.palette[0]!, START + minutes * 60_000);
  const mixed = (r = recipe(FLESH)) =>
    putOut(begun(), { name: 'flesh', recipe: r, ml: null }, making(0));

  // Common practice, no source: kept covered and cool a mix stays usable for a day or days.
  test('a mix stays usable for days, covered and cool longer; alkyd is shorter', () => {
    const open = windowAt(mixed(), 0).p90!;
    expect(open - START).toBeGreaterThan(0.4 * 86_400_000);
    const covered = windowAt(coverPalette(mixed(), making(60)), 60).p90!;
    expect(covered).toBeGreaterThan(open + 86_400_000);
    const alkyd = windowAt(mixed(recipe(FLESH, 0.3, [part('alkyd-medium')])), 0).p90!;
    expect(alkyd).toBeLessThan(open);
  });

  test('what is gone is gone, and what is past its time is told so', () => {
    const s = mixed();
    expect(windowAt(s, 10).usable).toBe(true);
    expect(windowAt(s, 60 * 24 * 60).usable).toBe(false);
    expect(windowAt(changeMix(s, s.palette[0]!.id, { goneAt: at(5) }), 10).usable).toBe(false);
  });
});

test("the painter's own pace bends the usual one as sessions come in", () => {
  const painting = newPainting();
  const coat = painting.coats[0]!;
  const session = (minutes: number): Session => {
    const s = beginSession(
      {
        works: [
          {
            paintingId: painting.id,
            passageIds: coat.passageIds,
            coatId: coat.id,
            name: coat.name,
            plannedMinutes: null,
          },
        ],
        boxMinutes: null,
        goal: '',
      },
      making(0),
    );
    return endSession(finishWork(s, s.works[0]!.id, making(minutes)), making(minutes));
  };
  const paintings = {
    [painting.id]: layCoat(
      painting,
      { coatId: coat.id, passageIds: coat.passageIds, at: at(0), spot: null, intoWet: false },
      making(1),
    ),
  };
  const of = (sessions: Session[]) => paceOf(sessions, paintings)[coat.role];
  expect(of([])).toBe(1);
  const slow = Array.from({ length: 6 }, () => session(600));
  const expected = usualMinutes(coat, toLayCm2(painting, coat, coat.passageIds));
  // Six sessions outweigh the usual, which counts as two.
  expect(of(slow)).toBeCloseTo(Math.exp((6 * Math.log(600 / expected)) / 8), 6);
  expect(of([session(4)])).toBe(1);
  // Half of it in the same time is half as fast: what counts is the area that was laid.
  const half = layCoat(
    painting,
    {
      coatId: coat.id,
      passageIds: coat.passageIds,
      at: at(0),
      spot: { name: 'part 1', share: 0.5 },
      intoWet: false,
    },
    making(1),
  );
  const halved = paceOf([session(600)], { [painting.id]: half })[coat.role];
  expect(halved).toBeGreaterThan(of([session(600)]));
  // Nothing laid, nothing learned, however long it took.
  expect(paceOf(slow, { [painting.id]: painting })[coat.role]).toBe(1);
  expect(minutesByPainting(slow, 0)[painting.id]).toBe(3600);
  const begun = Date.parse(slow[0]!.startedAt);
  const total = slow.reduce((sum, s) => sum + sessionMinutes(s, 0), 0);
  expect(minutesBetween(slow, [begun - 1, begun, begun + 1e12], 0)).toEqual([0, total]);
});

test('a clock that is set back makes no negative hours, in a session or in what dries', () => {
  const begun = beginSession({ works: [work('Sky')], boxMinutes: 60, goal: '' }, making(0));
  const paused = resume(pause(begun, making(10)), making(40));
  for (const minutes of [-600, -1, 0, 20]) {
    const nowMs = START + minutes * 60_000;
    expect(sessionMinutes(paused, nowMs)).toBeGreaterThanOrEqual(0);
    expect(workedMinutes(paused.works[0]!, nowMs)).toBeGreaterThanOrEqual(0);
    expect(sessionSchema.safeParse(endSession(paused, making(minutes))).success).toBe(true);
  }
  const painting = newPainting();
  const coat = painting.coats[0]!;
  const lay = { coatId: coat.id, passageIds: coat.passageIds, at: NOW, spot: null, intoWet: false };
  const laid = layCoat(painting, lay, { now: NOW, newId: () => 'e' });
  // What was laid "tomorrow" by the clock as it is now, is fresh.
  const tops = assessPainting(laid, optionsAt(NOW_MS - 86_400_000)).passages.map((p) =>
    topLaid(p.base),
  );
  expect(tops.map((top) => top?.state)).toContain('open');
});

test('minutes of a painting between two moments: of a sitting over an edge its part inside', () => {
  const at = (hour: number, minute = 0) =>
    `2026-02-17T${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}:00.000Z`;
  const work = (paintingId: string, from: string, to: string | null) => ({
    paintingId,
    stretches: [{ from, to }],
  });
  const sessions = [
    { works: [work('a', at(9), at(11)), work('b', at(11), at(12))] },
    { works: [work('a', at(14), null)] },
  ] as unknown as Parameters<typeof minutesWithin>[0];
  const within = (id: string, from: string, to: string) =>
    minutesWithin(sessions, id, Date.parse(from), Date.parse(to));
  // A photo at the beginning of a sitting and one at its end hold the whole of it between them.
  expect(within('a', at(9, 30), at(11))).toBe(90);
  expect(within('a', at(8), at(12))).toBe(120);
  expect(within('a', at(12), at(13))).toBe(0);
  // One that still runs counts up to the later photo.
  expect(within('a', at(13), at(14, 20))).toBe(20);
  expect(within('c', at(8), at(20))).toBe(0);
});
