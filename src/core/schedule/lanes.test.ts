import { constantAir, dryingWindows, REFERENCE_CLIMATE } from '../drying';
import { STUDIO_HANDBOOK } from '../handbook';
import { assessPainting } from '../painting';
import { layCoat } from '../painting/events';
import type { Painting } from '../painting/schema';
import { DAY, making, NOW, NOW_MS, optionsAt, stackOf } from '../tests/paintings';
import { part, recipe, tube } from '../tests/recipes';
import { USUAL_PACE } from '../session/pace';
import { laneOf } from './lanes';
import { stepsOf, type Step } from './steps';

const { constants } = STUDIO_HANDBOOK;
const AIR = constantAir(constants, REFERENCE_CLIMATE);
const painting: Painting = {
  ...stackOf(
    [tube('yellow-ochre'), tube('titanium-white')].map((paint) =>
      recipe([paint], 0.1, [part('stand-oil')], 40),
    ),
    [{ role: 'tone' }, { role: 'glaze' }],
  ),
  touches: [],
};
/** The first passage of a painting as a lane, its steps ending on the given days. */
function lane(of: Painting, ends: (number | null)[], late: Record<string, number> = {}) {
  const steps = stepsOf(of, USUAL_PACE);
  const passage = assessPainting(of, optionsAt()).passages[0]!;
  const endOf = (step: Step) => {
    const day = ends[steps.indexOf(step)] ?? null;
    return day === null ? null : NOW_MS + day * DAY;
  };
  const works = new Map(
    steps.flatMap((s, k) =>
      s.workIds.map((id) => {
        const p50Ms = NOW_MS + (ends[k] ?? 0) * DAY;
        return [id, { id, p50Ms, p90Ms: p50Ms + (late[s.coat.id] ?? 0) * DAY }] as const;
      }),
    ),
  );
  return { films: laneOf(passage, steps, endOf, works, constants, AIR), passage };
}

test('a coat begins where the plan ends its work, and dries from there as its windows say', () => {
  const { films, passage } = lane(painting, [1, 8]);
  expect(films.map((f) => f.laidMs)).toEqual([NOW_MS + DAY, NOW_MS + 8 * DAY]);
  const { times } = passage.base.layers[0]!;
  const windows = dryingWindows(constants, times, AIR.clock(times.kind, NOW_MS + DAY, null));
  expect(films[0]).toMatchObject({
    openMs: windows.openUntil.p50,
    setMs: windows.set.p50,
    touchMs: windows.touchDry.p50,
    throughMs: windows.throughDry.p50,
    touchByMs: windows.touchDry.p90,
  });
});

test('states follow one another, and nine chances in ten come after even ones', () => {
  for (const film of lane(painting, [1, 8]).films) {
    const inOrder = [film.laidMs, film.openMs, film.setMs, film.touchMs, film.throughMs];
    expect([...inOrder].sort((a, b) => a - b)).toEqual(inOrder);
    expect(film.touchByMs).toBeGreaterThan(film.touchMs);
  }
});

test('a beginning that may slip fades in until nine chances in ten', () => {
  const [first, second] = lane(painting, [1, 8], { c1: 3 }).films;
  expect(first!.laidByMs).toBe(first!.laidMs);
  expect(second!.laidByMs).toBe(second!.laidMs + 3 * DAY);
});

test('a coat without a place in the plan is not drawn', () => {
  expect(lane(painting, [1, null]).films.map((f) => f.step?.coat.id)).toEqual(['c0']);
});

test('what is laid stands where it was laid, and is nobody’s step', () => {
  const laid = layCoat(
    painting,
    {
      coatId: 'c0',
      passageIds: painting.coats[0]!.passageIds,
      at: NOW,
      intoWet: false,
      spot: null,
    },
    making(),
  );
  const { films } = lane(laid, [9]);
  expect(films.map((f) => [f.step?.coat.id ?? null, f.laidMs])).toEqual([
    [null, NOW_MS],
    ['c1', NOW_MS + 9 * DAY],
  ]);
});
