import { proxy, wrap } from 'comlink';
import type { StudioPlan } from '@/core/plan/studio-plan';
import { studioPlanSchema, type PlanRequest } from './plan-protocol';
import { PLANNER } from './planner';
import { unpack, type Reply } from './protocol';

/** A plan being made. Cancelled, it never answers. */
export interface PlanJob {
  result: Promise<StudioPlan>;
  cancel(): void;
}

interface Remote {
  plan(request: PlanRequest, onProgress: (done: number) => void): Promise<Reply>;
}

/** A worker with the hold on it: were the hold let go, the worker would stop to listen. */
interface Held {
  worker: Worker;
  remote: Remote;
}

let idle: Held | null = null;
function hold(): Held {
  const held = idle;
  idle = null;
  if (held) return held;
  const worker = new Worker(new URL('./plan.worker', window.location.href));
  return { worker, remote: wrap<Remote>(worker) as unknown as Remote };
}

/**
 * In this thread: where there are no workers, and where one cannot be started. Not fetched when it is needed: a piece
 * of the bundle that two others share would be put into what every visit loads first.
 */
const here = (request: PlanRequest): Promise<Reply> => PLANNER.plan(request);

/**
 * Plan away from the screen. A search cannot be spoken to while it runs, so to cancel is to end its worker; the next
 * plan begins in a new one.
 */
export function solvePlan(request: PlanRequest, onProgress: (done: number) => void): PlanJob {
  if (typeof Worker === 'undefined')
    return {
      result: here(request).then((answer) => unpack(studioPlanSchema, answer)),
      cancel: () => undefined,
    };
  const held = hold();
  const { worker, remote } = held;
  let cancelled = false;
  let finished = false;
  const failed = new Promise<Reply>((resolve) => {
    worker.addEventListener('error', () => resolve(here(request)), { once: true });
  });
  const answer = Promise.race([
    remote.plan(
      request,
      proxy((done: number) => !cancelled && onProgress(done)),
    ),
    failed,
  ]);
  return {
    result: answer.then((packed) => {
      finished = true;
      if (!cancelled) idle = held;
      return unpack(studioPlanSchema, packed);
    }),
    cancel() {
      // A worker that has answered waits for the next plan.
      if (cancelled || finished) return;
      cancelled = true;
      worker.terminate();
    },
  };
}
