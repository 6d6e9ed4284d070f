import { PLAN_ODDS } from '@/data/plan';
import { constantAir } from '../drying';
import { wallTable } from './dose-table';
import { isOnEasel, restsUntilMs } from '../painting/easel';
import { splitFilms } from './film-spread';
import { PaintingWorks, type PlanInput, type Refusal } from './painting-works';
import { Films } from './plan-films';
import type { PlanFilm, PlanGoal, PlanProblem, PlanWork } from './problem';
import { stepsOf, type Step } from './steps';

export interface Built {
  problem: PlanProblem;
  steps: Step[];
  refused: Refusal[];
}

const MINUTE_MS = 60_000;

/**
 * The problem of a studio: every unlaid coat of every painting as work with its waits, its edges, its date.
 * Minutes are rounded to the slot. The waits are doses at the chances the paintings ask for, so that they may be asked
 * of any hour of the calendar.
 */
export function buildPlan(input: PlanInput): Built {
  const { assess, assessments, pace, windows } = input;
  const { handbook, climate, nowMs } = assess;
  const films = new Films(assess, handbook.constants);
  const steps: Step[] = [];
  const works: PlanWork[] = [];
  const goals: PlanGoal[] = [];
  const refused: Refusal[] = [];
  for (const assessment of assessments) {
    // A picture that rests until a day is planned from that day on; one that is finished or gone is not.
    const { painting } = assessment;
    if (!isOnEasel(painting, nowMs) && restsUntilMs(painting) === null) continue;
    const own = stepsOf(assessment.painting, pace);
    const made = new PaintingWorks(assessment, input, films, own);
    made.build();
    const goal = made.goal();
    if (!goal) continue;
    steps.push(...own);
    works.push(...made.works);
    goals.push(goal);
    refused.push(...made.refused);
  }
  const spread = splitFilms(films.toSplit, assess.learned ?? null);
  const air = assess.air ?? constantAir(handbook.constants, climate);
  return {
    steps,
    refused,
    problem: {
      nowMs,
      slotMs: PLAN_ODDS.slotMinutes * MINUTE_MS,
      windows,
      clocks: {
        oil: air.clock('oil', nowMs, null),
        acrylic: air.clock('acrylic', nowMs, null),
        wall: wallTable(nowMs),
      },
      films: spread.map((s, i): PlanFilm => ({
        clock: films.kinds[i]!,
        openOverTouch: films.toSplit[i]!.openOverTouch,
        ...s,
      })),
      works,
      goals,
      constants: handbook.constants,
    },
  };
}
