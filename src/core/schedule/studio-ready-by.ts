import { PLAN_ODDS } from '@/data/plan';
import { readyBy, type ReadyBy } from './ready-by';
import { studioProblem, type StudioPlanInput } from './studio-plan';

/** Which coat is asked about, where, and when it is to be begun. */
export interface ReadyByTarget {
  coatId: string;
  passageId: string;
  atMs: number;
}

/** By which days the coats below one have to be laid for it to be begun at a moment; null where it is not in the plan. */
export function readyByOf(input: StudioPlanInput, target: ReadyByTarget): ReadyBy | null {
  const { problem, steps } = studioProblem(input);
  const step = steps.find(
    (s) => s.coat.id === target.coatId && s.passageIds.includes(target.passageId),
  );
  if (!step) return null;
  return readyBy(problem, step.workIds[0]!, target.atMs, {
    timeZone: input.timeZone,
    draws: PLAN_ODDS.readyByDraws,
    seed: input.seed,
  });
}
