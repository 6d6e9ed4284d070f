import { DAY_MS } from '../drying';
import { compile } from './compile';
import { BATCH } from './odds-films';
import { Player } from './odds-play';
import type { PlanProblem } from './problem';
import type { Plan } from './result';

export interface OddsOptions {
  draws: number;
  seed: number;
  /** Asked after every thousand draws; true ends it with what there is. */
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

/** Draws by which the days of single works are told: one in a hundred is enough there. */
const WORK_DRAWS = 2048;
const SEE_EVERY = 16;

/**
 * Plays a plan through many times: each scenario draws the shared factors once, every film and every work by itself
 * (see `Player`). 10,000 draws: a chance has a standard error of at most half a point. Pure by `seed`.
 */
export function oddsOf(problem: PlanProblem, plan: Plan, options: OddsOptions): Odds {
  const of = compile(problem);
  const place = new Map(problem.works.map((w, i) => [w.id, i]));
  const planned = plan.sessions.flatMap((s) =>
    s.works.map((w) => ({ i: place.get(w.id)!, window: s.window, startMs: w.startMs })),
  );
  const game = new Player(problem, of, planned, options.seed);
  const { windows, opens } = game;
  const finishes = of.goals.map(() => new Float64Array(options.draws));
  const counts = planned.map(() => new Uint32Array(windows + 1));
  let done = 0;
  let counted = 0;
  for (let batch = 0; done < options.draws; batch++) {
    if (options.stop && batch % SEE_EVERY === 0 && options.stop(done, options.draws)) break;
    game.play();
    const size = Math.min(BATCH, options.draws - done);
    finishes.forEach((list, g) => {
      for (let d = 0; d < size; d++) list[done + d] = game.finishMs(g, d);
    });
    if (done < WORK_DRAWS) {
      planned.forEach(({ i }, k) => {
        for (let d = 0; d < size; d++) counts[k]![game.windowOf(i, d)]! += 1;
      });
      counted += size;
    }
    done += size;
  }
  const quantile = (count: Uint32Array, p: number): number => {
    let sum = 0;
    for (let w = 0; w < windows; w++) {
      sum += count[w]!;
      if (sum >= p * counted) return opens[w]!;
    }
    return Infinity;
  };
  return {
    draws: done,
    goals: problem.goals.map((goal, g) => ({
      project: goal.project,
      ...told(finishes[g]!.subarray(0, done).slice().sort(), goal.dueMs),
    })),
    works: planned.map(({ i }, k) => ({
      id: problem.works[i]!.id,
      p50Ms: quantile(counts[k]!, 0.5),
      p90Ms: quantile(counts[k]!, 0.9),
    })),
  };
}

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
