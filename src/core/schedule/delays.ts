import { PLAN_ODDS } from '@/data/plan';
import { DAY_MS } from '../drying';
import { workingDays } from './calendar';
import { oddsOf } from './odds';
import type { PlanProblem } from './problem';
import { plan, type Plan, type PlanOptions } from './result';

/** What comes of it when a step is not begun before a day. */
export interface DelayRow {
  /** Local date. */
  day: string;
  /** The last working moment of that day. */
  untilMs: number;
  chance: number;
  p50Ms: number;
}

export interface Delays {
  project: string;
  /** Works that are put off. */
  workIds: string[];
  /** The next days with working hours. */
  rows: DelayRow[];
  /**
   * The last day on which it may still be begun: until then the chance holds at what stands behind a deadline, or,
   * where it never does, within a little of the best. Null: no later day was asked that is not safe.
   */
  lastSafe: DelayRow | null;
  /** The first day found that is not safe; null when none was within the time asked. */
  firstUnsafe: DelayRow | null;
  /** Chance lost by a day of delay, on the mean over the rows. */
  perDay: number;
}

export interface DelayOptions {
  timeZone: string;
  draws: number;
  seed: number;
  plan?: PlanOptions;
}

/**
 * The chances of a painting's date when a step is put off from day to day: each day planned anew from the present plan
 * and played with the same draws, so that the differences are those of the delay.
 * @returns null for a painting without a date
 */
export function delaysOf(
  problem: PlanProblem,
  present: Plan,
  project: string,
  workIds: string[],
  options: DelayOptions,
): Delays | null {
  const goal = problem.goals.find((g) => g.project === project);
  if (!goal || goal.dueMs === null) return null;
  const days = workingDays(problem, goal.dueMs, options.timeZone);
  if (days.length === 0) return null;
  const warm = new Map(
    present.sessions.flatMap((s) => s.works.map((w): [string, number] => [w.id, w.startMs])),
  );
  const asked = new Map<number, DelayRow>();
  const at = (d: number): DelayRow => {
    const known = asked.get(d);
    if (known) return known;
    const day = days[d]!;
    const later: PlanProblem = {
      ...problem,
      works: problem.works.map((w) =>
        workIds.includes(w.id)
          ? { ...w, pinMs: null, notBeforeMs: Math.max(w.notBeforeMs ?? 0, day.fromMs) }
          : w,
      ),
    };
    const planned =
      d === 0 ? present : plan(later, { ...options.plan, warm, rounds: PLAN_ODDS.delayRounds });
    const odds = oddsOf(later, planned, { draws: options.draws, seed: options.seed });
    const own = odds.goals.find((g) => g.project === project)!;
    const row = { day: day.day, untilMs: day.untilMs, chance: own.chance ?? 0, p50Ms: own.p50Ms };
    asked.set(d, row);
    return row;
  };
  const best = (): number => Math.max(...[...asked.values()].map((row) => row.chance));
  const rowDays = Array.from({ length: Math.min(PLAN_ODDS.delayDays, days.length) }, (_, d) => d);
  rowDays.forEach(at);
  const limit = best() >= PLAN_ODDS.safeChance ? PLAN_ODDS.safeChance : best() - PLAN_ODDS.safeLoss;
  // The chance falls with the delay, but for the noise of the search: halving finds where it passes the limit.
  let low = 0;
  let high = days.length;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (at(middle).chance >= limit) low = middle;
    else high = middle;
  }
  // What can be done when one waits can be done when one need not: no day is worse than a later one.
  const told = (d: number): DelayRow => {
    const later = [...asked].filter(([other]) => other >= d).map(([, row]) => row.chance);
    return { ...at(d), chance: Math.min(at(0).chance, Math.max(...later)) };
  };
  const rows = rowDays.map(told);
  const safe = [...asked.keys()].filter((d) => told(d).chance >= Math.min(limit, told(0).chance));
  const lastSafe = best() > 0 && safe.length > 0 ? Math.max(...safe) : null;
  const unsafe = [...asked.keys()].filter((d) => d > (lastSafe ?? -1)).sort((a, b) => a - b)[0];
  const [first, last] = [rows[0]!, rows.at(-1)!];
  const span = Math.max(1, (last.untilMs - first.untilMs) / DAY_MS);
  return {
    project,
    workIds,
    rows,
    lastSafe: lastSafe === null ? null : told(lastSafe),
    firstUnsafe: unsafe === undefined ? null : told(unsafe),
    perDay: (first.chance - last.chance) / span,
  };
}
