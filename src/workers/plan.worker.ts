import { expose, wrap } from 'comlink';
import '@/pieces/zod-settings';
import { HELPER, PLANNER, type PlanHelper } from './planner';
import type { Reply } from './protocol';

/** A worker of this one, of the same kind: it ends with it. Null where a worker cannot have one. */
function helperOf(): PlanHelper | null {
  if (typeof Worker === 'undefined') return null;
  const worker = new Worker(self.location.href);
  const remote = wrap<PlanHelper>(worker);
  // One that cannot be started never answers; what was asked of it must not wait for ever.
  const failed = new Promise<Reply>((resolve) => {
    worker.addEventListener('error', () =>
      resolve({ ok: false, code: 'failed', message: 'The second worker could not be started.' }),
    );
  });
  return {
    prepare: (raw) => Promise.race([remote.prepare(raw), failed]),
    draw: (found, half) => Promise.race([remote.draw(found, half), failed]),
    delay: (found, project) => Promise.race([remote.delay(found, project), failed]),
  };
}

let helper: PlanHelper | null | undefined;

expose({
  ...HELPER,
  readyBy: PLANNER.readyBy,
  plan(raw: unknown, onProgress?: (done: number) => unknown): Promise<Reply> {
    if (helper === undefined) helper = helperOf();
    return PLANNER.plan(raw, onProgress, helper);
  },
});
