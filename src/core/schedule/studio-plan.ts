import { PLAN_ODDS } from '@/data/plan';
import type { AirRecord } from '../climate';
import type { Climate } from '../drying';
import { STUDIO_HANDBOOK } from '../handbook';
import type { Learned } from '../learn';
import { assessPainting } from '../painting/assess';
import type { Painting } from '../painting/schema';
import { buildPlan } from './build';
import type { Refusal } from './painting-works';
import { windowsOf } from './hours-of';
import { delaysOf, type Delays } from './delays';
import { HALVES, halfOfDraws, oddsFrom, type GoalOdds, type HalfOfDraws, type Odds } from './odds';
import type { PlanProblem, WorkWindow } from './problem';
import { timesOf } from '../plan-record/record-edit';
import type { PlanRecord } from '../plan-record/schema';
import { plan, type Plan } from './result';
import { holdChance, type Habits } from '../session/habits';
import type { Pace } from '../session/pace';
import type { Step } from './steps';
import { airFor, suppose, warmerFrom, type WhatIf } from './what-if';

/** Everything a plan of a studio is made from; plain data, so that a worker can be given it. */
export interface StudioPlanInput {
  paintings: Painting[];
  record: PlanRecord;
  pace: Pace;
  /** What the log says of how surely plans come true. */
  habits: Habits;
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
    redo: input.habits.redo,
    pins: Object.fromEntries(record.pins.map((p) => [p.id, Date.parse(p.at)])),
    keptOut: Object.fromEntries(
      record.waits.map((wait) => [
        wait.id,
        timesOf(wait).map(({ from, until }) => ({
          fromMs: from === undefined ? -Infinity : Date.parse(from),
          toMs: Date.parse(until),
        })),
      ]),
    ),
  });
  const { ownSd, sharedSd, held } = input.habits;
  const hold = record.countsHeld ? (holdChance(held) ?? 1) : 1;
  return {
    ...built,
    problem: { ...built.problem, habits: { ownSd, sharedSd, hold } },
    record,
  };
}

/** The step that decides a painting's date next: the first of the chain, or the first that is planned. */
function nextWorks(found: Plan, project: string, steps: Step[]): string[] {
  const chain = found.goals.find((g) => g.project === project)?.chain[0]?.work;
  const first =
    chain ?? found.sessions.flatMap((s) => s.works).find((w) => w.project === project)?.id;
  return steps.find((s) => first !== undefined && s.workIds.includes(first))?.workIds ?? [];
}

/** A studio ready to be planned: the problem is made once, whoever works at it. */
export interface StudioJob {
  find(stop: Stop): Plan;
  draw(found: Plan, half: number, stop?: Stop): HalfOfDraws;
  /** Paintings of which it is told what delay costs. */
  dated: string[];
  delay(found: Plan, project: string): Delays | null;
  told(found: Plan, halves: HalfOfDraws[], delays: Delays[]): StudioPlan;
}
type Stop = (done: number, all: number) => boolean;

/** The parts of a studio's plan, each of which can be asked for where there is time for it. */
export function studioJob(input: StudioPlanInput): StudioJob {
  const { problem, steps, refused, record } = studioProblem(input);
  const warm = new Map(record.last.map((p) => [p.id, Date.parse(p.at)]));
  const { seed } = input;
  const draws = input.quick ? Math.min(PLAN_ODDS.quickDraws, input.draws) : input.draws;
  return {
    find: (stop) =>
      plan(problem, {
        seed,
        warm,
        stop,
        ...(input.quick ? { rounds: PLAN_ODDS.quickRounds } : {}),
      }),
    draw: (found, half, stop) =>
      halfOfDraws(problem, found, half, { draws, seed, ...(stop ? { stop } : {}) }),
    dated: input.quick
      ? []
      : problem.goals.filter((g) => g.dueMs !== null).map(({ project }) => project),
    delay(found, project) {
      const workIds = nextWorks(found, project, steps);
      if (workIds.length === 0) return null;
      return delaysOf(problem, found, project, workIds, {
        timeZone: input.timeZone,
        draws: Math.min(PLAN_ODDS.delayDraws, input.draws),
        seed,
      });
    },
    told(found, halves, delays) {
      const odds = oddsFrom(problem, found, halves);
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
    },
  };
}

/** Somebody else who works at the same studio meanwhile. */
export interface Second {
  draw(found: Plan, half: number): Promise<HalfOfDraws>;
  delay(found: Plan, project: string): Promise<Delays | null>;
}

/** Where the search, the draws and the delays end, as parts of the whole. */
const FOUND = 0.5;
const DRAWN = 0.8;

/**
 * Plan, odds, and what delay costs, of a studio. The same input gives the same answer, with a second one at work (who
 * makes half of the draws and every other table of delays) or without.
 */
export async function planStudio(
  input: StudioPlanInput,
  onProgress?: OnProgress,
  second?: Second,
): Promise<StudioPlan> {
  const job = studioJob(input);
  let stopped = false;
  const report =
    (from: number, to: number): Stop =>
    (done, all) => {
      stopped ||= onProgress?.(from + ((to - from) * done) / Math.max(1, all)) ?? false;
      return stopped;
    };
  const found = job.find(report(0, FOUND));
  const middle = (FOUND + DRAWN) / 2;
  // What the second one fails at is done here after all.
  const other = second?.draw(found, 1).catch(() => null);
  const half = job.draw(found, 0, report(FOUND, middle));
  const halves = [half, (await other) ?? job.draw(found, 1, report(middle, DRAWN))];
  const elsewhere = job.dated.map((project, k) =>
    k % HALVES === 1 ? second?.delay(found, project).catch(() => null) : undefined,
  );
  const delays: (Delays | null)[] = [];
  for (const [k, project] of job.dated.entries()) {
    if (report(DRAWN, 1)(k, job.dated.length)) break;
    delays.push((await elsewhere[k]) ?? job.delay(found, project));
  }
  onProgress?.(1);
  return job.told(
    found,
    halves,
    delays.filter((d) => d !== null),
  );
}
