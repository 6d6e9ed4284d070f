import loadHighs from 'highs';
import { instance, SMALL } from '../tests/plan-instances';
import { milpOf } from '../tests/plan-milp';
import { DAY_MS } from '../drying';
import { oddsOf } from './odds';
import { plan, type PlanProblem } from '.';

/**
 * The time-indexed MILP of the same problem, solved to the end by HiGHS (a general solver from the registry): what
 * the search must not miss by more than one in a hundred, and must never be below.
 */
describe('against the optimum of a general solver', () => {
  const seeds = [1, 2, 5, 6, 7, 11];
  test.each(seeds)('instance %i', async (seed) => {
    const problem = instance(seed, SMALL);
    const highs = await loadHighs({});
    const optimum = highs.solve(milpOf(problem));
    const found = plan(problem, { seed: 1 });
    // A meeting that cannot be had is infeasible there and said here.
    if (optimum.Status !== 'Optimal') {
      expect(found.impossible).not.toEqual([]);
      return;
    }
    expect(found.impossible).toEqual([]);
    expect(found.objective).toBeGreaterThanOrEqual(optimum.ObjectiveValue - 1e-4);
    expect(found.objective).toBeLessThanOrEqual(optimum.ObjectiveValue * 1.01);
    expect(found.bound).toBeLessThanOrEqual(optimum.ObjectiveValue + 1e-4);
  });

  test('what is kept out of a time is planned and played outside it, and is not dearer than HiGHS says', async () => {
    const highs = await loadHighs({});
    for (const seed of [3, 9]) {
      const free = instance(seed, { ...SMALL, wetShare: 0 });
      const first = plan(free, { seed: 1 }).sessions[0]!;
      const out = new Set(first.works.map((w) => w.id));
      const time = { fromMs: first.fromMs - DAY_MS, toMs: first.toMs + DAY_MS };
      const problem: PlanProblem = {
        ...free,
        works: free.works.map((w) => (out.has(w.id) ? { ...w, notIn: [time] } : w)),
      };
      const found = plan(problem, { seed: 1 });
      const places = found.sessions.flatMap((s) => s.works.filter((w) => out.has(w.id)));
      expect(places.map((w) => w.id).sort()).toEqual([...out].sort());
      expect(places.filter((w) => w.startMs >= time.fromMs && w.startMs < time.toMs)).toEqual([]);
      const optimum = highs.solve(milpOf(problem));
      expect(found.objective).toBeLessThanOrEqual(optimum.ObjectiveValue * 1.01);
      expect(found.objective).toBeGreaterThanOrEqual(optimum.ObjectiveValue - 1e-4);
      const odds = oddsOf(problem, found, { draws: 400, seed: 1 });
      const early = odds.works.filter(
        (w) => out.has(w.id) && w.p50Ms >= time.fromMs && w.p50Ms < time.toMs,
      );
      expect(early).toEqual([]);
    }
  });
});
