import { proxy } from 'comlink';
import type { ReadyBy } from '@/core/schedule/ready-by';
import type { StudioPlan } from '@/core/schedule/studio-plan';
import {
  readyBySchema,
  studioPlanSchema,
  type PlanRequest,
  type ReadyByRequest,
} from './plan-protocol';
import { unpack } from './protocol';
import { runner } from './runner';

/** How a job ended. One that was cancelled answers too: whoever waits for it goes on. */
export type PlanOutcome = { ended: 'done'; plan: StudioPlan } | { ended: 'cancelled' };

/** A plan being made. Rejects with the reason when the request is no good. */
export interface PlanJob {
  result: Promise<PlanOutcome>;
  cancel(): void;
}

const planWorker = () =>
  runner(
    () => new Worker(new URL('./plan.worker', window.location.href)),
    async () => (await import('./planner')).PLANNER,
  );

type PlanRunner = ReturnType<typeof planWorker>;
/** One that has answered waits for the next plan. */
let idle: PlanRunner | null = null;

/**
 * Plan away from the screen. A search cannot be spoken to while it runs, so to cancel is to end its worker; the next
 * plan begins in a new one.
 */
export function solvePlan(request: PlanRequest, onProgress: (done: number) => void): PlanJob {
  const own = idle ?? planWorker();
  idle = null;
  let finished = false;
  let cancelNow: (outcome: PlanOutcome) => void = () => undefined;
  const cancelled = new Promise<PlanOutcome>((resolve) => {
    cancelNow = resolve;
  });
  const told = (done: number): void => {
    if (!finished) onProgress(done);
  };
  const made = own
    .run((jobs) =>
      typeof Worker === 'undefined' ? jobs.plan(request, told) : jobs.plan(request, proxy(told)),
    )
    .then((packed): PlanOutcome => {
      if (!finished) idle = own;
      finished = true;
      return { ended: 'done', plan: unpack(studioPlanSchema, packed) };
    });
  return {
    result: Promise.race([made, cancelled]),
    cancel() {
      if (finished) return;
      finished = true;
      own.stop();
      cancelNow({ ended: 'cancelled' });
    },
  };
}

/** By which days the coats below one have to be laid. In a worker of its own: the plan may be at work in the other. */
export async function solveReadyBy(request: ReadyByRequest): Promise<ReadyBy | null> {
  const own = planWorker();
  try {
    return unpack(readyBySchema.nullable(), await own.run((jobs) => jobs.readyBy(request)));
  } finally {
    own.stop();
  }
}
