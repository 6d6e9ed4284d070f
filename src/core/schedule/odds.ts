import { PLAN_ODDS } from '@/data/plan';
import { DAY_MS } from '../drying';
import { compile } from './compile';
import { BATCH } from './odds-films';
import { Player } from './odds-play';
import type { PlanProblem } from './problem';
import type { Plan } from './result';

export interface OddsOptions {
  draws: number;
  seed: number;
  /** Asked about every thousand draws of a half; true ends that half with what there is. */
  stop?(done: number, draws: number): boolean;
}

/** What the draws say of one painting. */
export interface GoalOdds {
  project: string;
  dueMs: number | null;
  /** Chance to be done by the date; null without one. */
  chance: number | null;
  /** Finish at even odds and with nine chances in ten, ms. */
  p50Ms: number;
  p90Ms: number;
  /** Days between the date and the finish at even odds; negative when it is later. */
  slackDays: number | null;
  /** Finishes of all draws, in order; Infinity where it never is. */
  finishes: Float64Array;
}

/** When a work gets done, by the draws. */
export interface WorkOdds {
  id: string;
  p50Ms: number;
  p90Ms: number;
}

export interface Odds {
  draws: number;
  goals: GoalOdds[];
  works: WorkOdds[];
}

const SEE_EVERY = 4;
/** The draws are made in so many halves, each with its own numbers, so that they come out the same wherever they are made. */
export const HALVES = 2;

/** What one half of the draws gave; plain data, so that it can be made elsewhere. */
export interface HalfOfDraws {
  draws: number;
  /** Finishes of each goal, as they were drawn, ms. */
  finishes: Float64Array[];
  /** How often each planned work was done in each window, and never at the end. */
  counts: Uint32Array[];
  /** When each window opens, ms. */
  opens: Float64Array;
}

const plannedWorks = (plan: Plan): { id: string; window: number; startMs: number }[] =>
  plan.sessions.flatMap((s) => s.works.map((w) => ({ ...w, window: s.window })));

/** One half of the draws of a plan, 0 or 1. Pure by `seed` and `half`. */
export function halfOfDraws(
  problem: PlanProblem,
  plan: Plan,
  half: number,
  options: OddsOptions,
): HalfOfDraws {
  const of = compile(problem);
  const place = new Map(problem.works.map((w, i) => [w.id, i]));
  const planned = plannedWorks(plan).map((w) => ({ ...w, i: place.get(w.id)! }));
  const game = new Player(problem, of, planned, options.seed, half);
  const draws = Math.ceil((options.draws - half) / HALVES);
  const finishes = of.goals.map(() => new Float64Array(draws));
  const counts = planned.map(() => new Uint32Array(game.windows + 1));
  const finish = new Float64Array(BATCH);
  let done = 0;
  for (let batch = 0; done < draws; batch++) {
    if (options.stop && batch % SEE_EVERY === 0 && options.stop(done, draws)) break;
    game.play();
    const size = Math.min(BATCH, draws - done);
    finishes.forEach((list, g) => {
      game.finishes(g, finish);
      list.set(finish.subarray(0, size), done);
    });
    if (done < PLAN_ODDS.workDraws / HALVES)
      planned.forEach(({ i }, k) => {
        for (let d = 0; d < size; d++) counts[k]![game.windowOf(i, d)]! += 1;
      });
    done += size;
  }
  return {
    draws: done,
    finishes: finishes.map((list) => list.slice(0, done)),
    counts,
    opens: game.opens.slice(0, game.windows),
  };
}

const joined = (lists: Float64Array[]): Float64Array => {
  const out = new Float64Array(lists.reduce((sum, list) => sum + list.length, 0));
  let at = 0;
  for (const list of lists) {
    out.set(list, at);
    at += list.length;
  }
  return out;
};

/** When the share `p` of the draws had a work done: the opening of a window. */
function quantile(opens: Float64Array, count: Uint32Array, p: number): number {
  const all = count.reduce((sum, x) => sum + x, 0);
  let sum = 0;
  for (let w = 0; w < opens.length; w++) {
    sum += count[w]!;
    if (sum >= p * all) return opens[w]!;
  }
  return Infinity;
}

/** Chances and quantiles from both halves together. */
export function oddsFrom(problem: PlanProblem, plan: Plan, halves: HalfOfDraws[]): Odds {
  const { opens } = halves[0]!;
  return {
    draws: halves.reduce((sum, half) => sum + half.draws, 0),
    goals: problem.goals.map((goal, g) => ({
      project: goal.project,
      ...told(joined(halves.map((half) => half.finishes[g]!)).sort(), goal.dueMs),
    })),
    works: plannedWorks(plan).map(({ id }, k) => {
      const count = halves[0]!.counts[k]!.map((_, w) =>
        halves.reduce((sum, half) => sum + half.counts[k]![w]!, 0),
      );
      return { id, p50Ms: quantile(opens, count, 0.5), p90Ms: quantile(opens, count, 0.9) };
    }),
  };
}

/**
 * Plays a plan through many times: each scenario draws the shared factors once, every film and every work by itself
 * (see `Player`). 10,000 draws: a chance has a standard error of at most half a point. Pure by `seed`.
 */
export const oddsOf = (problem: PlanProblem, plan: Plan, options: OddsOptions): Odds =>
  oddsFrom(
    problem,
    plan,
    Array.from({ length: HALVES }, (_, half) => halfOfDraws(problem, plan, half, options)),
  );

/** @param sorted finishes in order */
export function told(sorted: Float64Array, dueMs: number | null): Omit<GoalOdds, 'project'> {
  const at = (p: number): number =>
    sorted[Math.min(sorted.length - 1, Math.floor(p * sorted.length))] ?? Infinity;
  let inTime = 0;
  if (dueMs !== null) while (inTime < sorted.length && sorted[inTime]! <= dueMs) inTime += 1;
  return {
    dueMs,
    chance: dueMs === null || sorted.length === 0 ? null : inTime / sorted.length,
    p50Ms: at(0.5),
    p90Ms: at(0.9),
    slackDays: dueMs === null ? null : (dueMs - at(0.5)) / DAY_MS,
    finishes: sorted,
  };
}
