import { CLEANING_MINUTES } from '@/data/pace';
import { PLAN_ODDS } from '@/data/plan';
import type { AirRecord } from '../climate';
import type { Climate } from '../drying';
import { STUDIO_HANDBOOK } from '../handbook';
import type { Learned } from '../learn';
import { assessPainting } from '../painting/assess';
import type { Painting } from '../painting/schema';
import { buildPlan } from './build';
import type { Refusal } from './painting-works';
import { workWindows } from './calendar';
import { delaysOf, type Delays } from './delays';
import { oddsOf, type GoalOdds, type Odds } from './odds';
import type { PlanProblem, WorkWindow } from './problem';
import type { PlanRecord } from './record';
import { plan, type Plan } from './result';
import type { Pace, Step } from './steps';
import { airFor, suppose, warmerFrom, type WhatIf } from './what-if';

/** Everything a plan of a studio is made from; plain data, so that a worker can be given it. */
export interface StudioPlanInput {
  paintings: Painting[];
  record: PlanRecord;
  pace: Pace;
  climate: Climate;
  air: AirRecord | null;
  learned: Learned | null;
  nowMs: number;
  timeZone: string;
  latitudeDeg: number;
  whatIf: WhatIf[];
  seed: number;
  draws: number;
  /** A first plan, at once: a short search, fewer draws, no table of delays. */
  quick: boolean;
}

/** Progress, 0 to 1, of the whole; true from it ends the work with what there is. */
export type OnProgress = (done: number) => boolean;

/** Odds of a painting as they are told: twenty finishes that are as likely as one another. */
export interface ToldGoal extends Omit<GoalOdds, 'finishes'> {
  twenty: number[];
}

export interface StudioPlan {
  plan: Plan;
  goals: ToldGoal[];
  works: Odds['works'];
  draws: number;
  steps: Step[];
  refused: Refusal[];
  windows: WorkWindow[];
  /** The next step of each painting with a date, and what putting it off costs. */
  delays: Delays[];
}

const MOST = 20;
const DELAY_DRAWS = 2048;
const QUICK_ROUNDS = 250;
const QUICK_DRAWS = 1024;
const LEAST_STRETCH_MINUTES = 30;

/** The hours for work that a record says, from a moment on, as far as is planned. */
export const windowsOf = (
  record: PlanRecord,
  place: Pick<StudioPlanInput, 'nowMs' | 'timeZone' | 'latitudeDeg'>,
): WorkWindow[] =>
  workWindows({
    hours: record.hours,
    exceptions: record.exceptions,
    busy: record.busy.flatMap(({ times }) =>
      times.map(([from, to]) => ({ fromMs: Date.parse(from), toMs: Date.parse(to) })),
    ),
    timeZone: place.timeZone,
    latitudeDeg: place.latitudeDeg,
    fromMs: place.nowMs,
    days: PLAN_ODDS.horizonDays,
    cleaningMinutes: CLEANING_MINUTES,
    leastMinutes: LEAST_STRETCH_MINUTES,
  });

const timesOf = <T extends { id: string }>(
  list: T[],
  at: (x: T) => string,
): Record<string, number> => Object.fromEntries(list.map((x) => [x.id, Date.parse(at(x))]));

/** The problem of a studio, as it is or as it would be. */
export function studioProblem(input: StudioPlanInput): {
  problem: PlanProblem;
  steps: Step[];
  refused: Refusal[];
  record: PlanRecord;
} {
  const { constants } = STUDIO_HANDBOOK;
  const { paintings, record, warmerC } = suppose(input.paintings, input.record, input.whatIf);
  const base = airFor(constants, input.climate, input.air);
  const air = warmerFrom(constants, base, input.nowMs, warmerC);
  const follows = input.air !== null || warmerC !== 0;
  const assess = {
    handbook: STUDIO_HANDBOOK,
    climate: { ...input.climate, temperatureC: input.climate.temperatureC + warmerC },
    learned: input.learned,
    nowMs: input.nowMs,
    ...(follows ? { air } : {}),
  };
  const built = buildPlan({
    assessments: paintings.map((p) => assessPainting(p, assess)),
    assess,
    pace: input.pace,
    windows: windowsOf(record, input),
    pins: timesOf(record.pins, (p) => p.at),
    notBefore: timesOf(record.waits, (w) => w.until),
  });
  return { ...built, record };
}

/** The step that decides a painting's date next: the first of the chain, or the first that is planned. */
function nextWorks(found: Plan, project: string, steps: Step[]): string[] {
  const chain = found.goals.find((g) => g.project === project)?.chain[0]?.work;
  const first =
    chain ?? found.sessions.flatMap((s) => s.works).find((w) => w.project === project)?.id;
  return steps.find((s) => first !== undefined && s.workIds.includes(first))?.workIds ?? [];
}

/** Plan, odds, and what delay costs, of a studio. The same input gives the same answer. */
export function planStudio(input: StudioPlanInput, onProgress?: OnProgress): StudioPlan {
  const { problem, steps, refused, record } = studioProblem(input);
  const warm = new Map(record.last.map((p) => [p.id, Date.parse(p.at)]));
  let stopped = false;
  const report = (from: number, to: number) => (done: number, all: number) => {
    stopped ||= onProgress?.(from + ((to - from) * done) / Math.max(1, all)) ?? false;
    return stopped;
  };
  const found = plan(problem, {
    seed: input.seed,
    warm,
    stop: report(0, 0.5),
    ...(input.quick ? { rounds: QUICK_ROUNDS } : {}),
  });
  const odds = oddsOf(problem, found, {
    draws: input.quick ? Math.min(QUICK_DRAWS, input.draws) : input.draws,
    seed: input.seed,
    stop: report(0.5, 0.8),
  });
  const delays: Delays[] = [];
  const dated = input.quick ? [] : problem.goals.filter((g) => g.dueMs !== null);
  dated.forEach((goal, k) => {
    if (report(0.8, 1)(k, dated.length)) return;
    const workIds = nextWorks(found, goal.project, steps);
    if (workIds.length === 0) return;
    const told = delaysOf(problem, found, goal.project, workIds, {
      timeZone: input.timeZone,
      draws: Math.min(DELAY_DRAWS, input.draws),
      seed: input.seed,
    });
    if (told) delays.push(told);
  });
  onProgress?.(1);
  return {
    plan: found,
    goals: odds.goals.map(({ finishes, ...goal }) => ({
      ...goal,
      twenty: Array.from(
        { length: MOST },
        (_, k) => finishes[Math.floor(((k + 0.5) / MOST) * finishes.length)] ?? Infinity,
      ),
    })),
    works: odds.works,
    draws: odds.draws,
    steps,
    refused,
    windows: problem.windows,
    delays,
  };
}
