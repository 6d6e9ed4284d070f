/**
 * The planner against the optimum of a general MILP solver (HiGHS) on small problems, and against stated limits on a
 * large studio: twenty paintings of six passages and ten coats, half a year, one core.
 */
import { createRequire } from 'node:module';
import { performance } from 'node:perf_hooks';
import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import type { Highs } from 'highs';
import { plan, USUAL_WEIGHTS, type Plan, type PlanProblem } from '../src/core/schedule';
import { compile } from '../src/core/schedule/compile';
import { halfOfDraws, oddsFrom, oddsOf, type HalfOfDraws } from '../src/core/schedule/odds';
import { firstPlan, usualRounds } from '../src/core/schedule/search';
import {
  instance,
  LARGE,
  MIDDLE,
  SMALL,
  STUDIO,
  type InstanceShape,
} from '../src/core/tests/plan-instances';
import { milpOf } from '../src/core/tests/plan-milp';

const CASES = 50;
/** The draws and the replanning are timed so often: of draws the best counts, for the machine has other work too. */
const TIMES = 5;
const NEAR = 1.01;
const NEAR_AT_LEAST = 48;
const TIME_SHARE = 1 / 20;
const MIDDLE_CASES = 40;
const MIDDLE_NEAR_AT_LEAST = 38;
const SOLVER_SECONDS = 30;
const STUDIO_CASES = 40;
const STUDIO_MEAN = 0.02;
const STUDIO_WORST = 0.05;
const LIMIT_STUDIO_MS = 1000;
/** Plans of three seeds lie so close on the mean, and in so many of the problems. */
const APART = 0.01;
const APART_AT_LEAST = 40;
/** So many times the usual rounds are a long search. */
const LONGER = 10;
const LIMIT_FIRST_MS = 300;
const LIMIT_SETTLED_MS = 2000;
const LIMIT_REPLAN_MS = 500;
const LIMIT_ODDS_MS = 1000;

/** A little longer than in the tests: what the solver is for. */
const EXACT: InstanceShape = { ...SMALL, days: 13 };

const timed = <T>(job: () => T): { ms: number; value: T } => {
  const began = performance.now();
  const value = job();
  return { ms: performance.now() - began, value };
};
const ok = (holds: boolean): string => (holds ? '' : '  <-- over the limit');

/** HiGHS with its clock: what it does not come to the end of is left out. */
async function solver(): Promise<(problem: PlanProblem) => { cost: number; ms: number } | null> {
  const load = createRequire(import.meta.url)('highs') as () => Promise<Highs>;
  const highs = await load();
  const options = { time_limit: SOLVER_SECONDS };
  return (problem) => {
    const text = milpOf(problem);
    const { ms, value } = timed(() => highs.solve(text, options));
    return value.Status === 'Optimal' ? { cost: value.ObjectiveValue, ms } : null;
  };
}

/** The plan against the optimum of a general solver, over as many problems as it solves. */
async function against(
  name: string,
  shapes: InstanceShape[],
  cases: number,
  nearAtLeast: number,
): Promise<{ held: boolean; share: number }> {
  const solve = await solver();
  for (let k = 0; k < 3; k++) plan(instance(900 + k, shapes[0]!), { seed: 1 });
  let near = 0;
  let missed = 0;
  let worst = 1;
  let mine = 0;
  let theirs = 0;
  let asked = 0;
  for (let done = 0; done < cases; asked++) {
    const problem = instance(1 + asked, shapes[asked % shapes.length]!);
    const optimum = await solve(problem);
    if (!optimum) continue;
    done += 1;
    const found = timed(() => plan(problem, { seed: 1 }));
    mine += found.ms;
    theirs += optimum.ms;
    if (found.value.impossible.length > 0) missed += 1;
    const ratio = found.value.objective / optimum.cost;
    worst = Math.max(worst, ratio);
    if (ratio <= NEAR) near += 1;
    if (ratio < 1 - 1e-4)
      throw new Error(`Seed ${1 + asked}: below the optimum, so one of the two is wrong.`);
  }
  const held = near >= nearAtLeast && missed === 0;
  console.log(
    `plan, ${cases} ${name} against HiGHS (of ${asked}; the others cannot be had, or are not solved in ${SOLVER_SECONDS} s): ${near} within 1 % of the optimum (worst ${worst.toFixed(3)}), at least ${nearAtLeast}; ${missed} not had though they can be${ok(held)}`,
  );
  console.log(
    `  ${(mine / cases).toFixed(0)} ms against ${(theirs / cases).toFixed(0)} ms of the solver = 1/${(theirs / mine).toFixed(0)}`,
  );
  return { held, share: mine / theirs };
}

async function exact(): Promise<boolean> {
  const small = await against('small problems', [EXACT], CASES, NEAR_AT_LEAST);
  const middle = await against('of 12 to 20 works', MIDDLE, MIDDLE_CASES, MIDDLE_NEAR_AT_LEAST);
  console.log(
    `  of small ones at most 1/${(1 / TIME_SHARE).toFixed(0)} of the time${ok(small.share <= TIME_SHARE)}`,
  );
  return small.held && middle.held && small.share <= TIME_SHARE;
}

/** Problems of a studio's size against the best that is known of them: of all seeds, and of a search many times as long. */
function real(): boolean {
  const gaps: number[] = [];
  const apart: number[] = [];
  const times: number[] = [];
  let gapToBound = 0;
  for (let k = 0; k < STUDIO_CASES; k++) {
    const problem = instance(1000 + k, STUDIO[k % STUDIO.length]!);
    const found = [1, 2, 3].map((seed) => timed(() => plan(problem, { seed })));
    const costs = found.map((f) => f.value.objective);
    const long = plan(problem, { seed: 4, rounds: LONGER * usualRounds(problem.works.length) });
    const best = Math.min(long.objective, ...costs);
    gaps.push(costs[0]! / best - 1);
    apart.push(Math.max(...costs) / Math.min(...costs) - 1);
    times.push(...found.map((f) => f.ms));
    gapToBound += costs[0]! / long.bound - 1;
  }
  const mean = (list: number[]): number => list.reduce((s, x) => s + x, 0) / list.length;
  const percent = (x: number): string => `${(100 * x).toFixed(1)} %`;
  const middleMs = times.sort((a, b) => a - b)[times.length >> 1]!;
  const close = apart.filter((share) => share <= APART).length;
  const together = mean(apart) <= APART && close >= APART_AT_LEAST;
  const held =
    together &&
    mean(gaps) <= STUDIO_MEAN &&
    Math.max(...gaps) <= STUDIO_WORST &&
    middleMs <= LIMIT_STUDIO_MS;
  console.log(
    `plan, ${STUDIO_CASES} of 30 to 150 works: above the best known by ${percent(mean(gaps))} on the mean (at most ${percent(STUDIO_MEAN)}), ${percent(Math.max(...gaps))} at worst (at most ${percent(STUDIO_WORST)}); above the bound by ${percent(gapToBound / STUDIO_CASES)}; ${middleMs.toFixed(0)} ms, the middle of all, of ${LIMIT_STUDIO_MS} (the longest ${times.at(-1)!.toFixed(0)} ms)${ok(held)}`,
  );
  console.log(
    `  three seeds lie apart by ${percent(mean(apart))} on the mean (at most ${percent(APART)}), within that in ${close} of ${STUDIO_CASES} (at least ${APART_AT_LEAST}), ${percent(Math.max(...apart))} at most${ok(together)}`,
  );
  return held;
}

/** The painter is away for a week in the third. */
const weekAway = (problem: PlanProblem): PlanProblem => {
  const from = problem.nowMs + 14 * 86_400_000;
  const to = from + 7 * 86_400_000;
  return { ...problem, windows: problem.windows.filter((w) => w.toMs < from || w.fromMs > to) };
};

/** The large studio, made anew by each thread: its clocks are functions and cannot be sent. */
const studio = (): PlanProblem => instance(7, LARGE);
const DRAWS = { draws: 10_000, seed: 1 };

/** The second worker, as the application has one: it knows the studio, is given the plan, and makes its half of the draws. */
function beSecond(): void {
  const problem = studio();
  parentPort!.on('message', (found: Plan) =>
    parentPort!.postMessage(halfOfDraws(problem, found, 1, DRAWS)),
  );
  parentPort!.postMessage('ready');
}

async function drawn(problem: PlanProblem, found: Plan): Promise<number[]> {
  const second = new Worker(new URL(import.meta.url));
  const answer = <T>(): Promise<T> =>
    new Promise((resolve, reject) => {
      second.once('message', resolve);
      second.once('error', reject);
    });
  await answer();
  const alone = oddsOf(problem, found, DRAWS);
  const times: number[] = [];
  for (let k = 0; k < TIMES; k++) {
    const began = performance.now();
    const theirs = answer<HalfOfDraws>();
    second.postMessage(found);
    const mine = halfOfDraws(problem, found, 0, DRAWS);
    const odds = oddsFrom(problem, found, [mine, await theirs]);
    times.push(performance.now() - began);
    if (odds.goals.some((goal, g) => goal.p90Ms !== alone.goals[g]!.p90Ms))
      throw new Error('The halves do not give what the whole gives.');
  }
  await second.terminate();
  return times;
}

async function large(): Promise<boolean> {
  const problem = studio();
  const first = timed(() => firstPlan(compile(problem), { weights: USUAL_WEIGHTS }));
  const settled = timed(() => plan(problem, { seed: 1 }));
  const { objective, bound } = settled.value;
  const warm = new Map(
    settled.value.sessions.flatMap((s) => s.works.map((w): [string, number] => [w.id, w.startMs])),
  );
  const agains = Array.from({ length: TIMES }, () => {
    const without = weekAway(problem);
    return timed(() => plan(without, { seed: 1, warm, rounds: 300 })).ms;
  });
  const againMs = agains.toSorted((a, b) => a - b)[TIMES >> 1]!;
  const alone = timed(() => oddsOf(problem, settled.value, DRAWS));
  const times = await drawn(problem, settled.value);
  const oddsMs = Math.min(...times);
  console.log(
    `plan, ${problem.works.length} works: first ${first.ms.toFixed(0)} ms of ${LIMIT_FIRST_MS}, settled ${settled.ms.toFixed(0)} ms of ${LIMIT_SETTLED_MS}, after a lost week ${againMs.toFixed(0)} ms of ${LIMIT_REPLAN_MS}, the middle of ${TIMES} (the first ${agains[0]!.toFixed(0)} ms)${ok(first.ms < LIMIT_FIRST_MS && settled.ms < LIMIT_SETTLED_MS && againMs < LIMIT_REPLAN_MS)}`,
  );
  console.log(
    `plan, cost: first ${first.value.cost().toFixed(0)}, settled ${objective.toFixed(0)}, no plan below ${bound.toFixed(0)} (gap ${((100 * (objective - bound)) / bound).toFixed(0)} %)`,
  );
  console.log(
    `odds, 10,000 draws of it: ${oddsMs.toFixed(0)} ms of ${LIMIT_ODDS_MS} with the second worker, the best of ${TIMES} (the first ${times[0]!.toFixed(0)} ms; ${alone.ms.toFixed(0)} ms in one)${ok(oddsMs < LIMIT_ODDS_MS)}`,
  );
  return (
    first.ms < LIMIT_FIRST_MS &&
    settled.ms < LIMIT_SETTLED_MS &&
    againMs < LIMIT_REPLAN_MS &&
    oddsMs < LIMIT_ODDS_MS
  );
}

if (isMainThread) {
  const results = [await large(), await exact(), real()];
  process.exit(results.every(Boolean) ? 0 : 1);
} else beSecond();
