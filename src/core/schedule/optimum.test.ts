import loadHighs from 'highs';
import { instance, SMALL } from '../tests/plan-instances';
import { milpOf } from '../tests/plan-milp';
import { plan } from '.';

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
});
