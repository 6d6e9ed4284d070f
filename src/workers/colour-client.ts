import { proxy } from 'comlink';
import type { PassageFound } from '@/core/glaze/for-passage';
import { targetFoundSchema, type TargetRequest } from './colour-protocol';
import { unpack } from './protocol';
import { runner } from './runner';

/** A search for a glaze. Null when it was cancelled; rejects with the reason when the request is no good. */
export interface TargetJob {
  result: Promise<PassageFound | null>;
  cancel(): void;
}

const solver = runner(
  () => new Worker(new URL('./colour.worker', window.location.href)),
  async () => (await import('./colour-solver')).COLOUR_SOLVER,
);

/** Search away from the screen. To cancel is to end the worker; the next search begins in a new one. */
export function solveTarget(
  request: TargetRequest,
  onProgress: (share: number) => void,
): TargetJob {
  let ended = false;
  let cancelNow: (nothing: null) => void = () => undefined;
  const cancelled = new Promise<null>((resolve) => {
    cancelNow = resolve;
  });
  const told = (share: number): void => {
    if (!ended) onProgress(share);
  };
  const found = solver
    .run((jobs) =>
      typeof Worker === 'undefined'
        ? jobs.target(request, told)
        : jobs.target(request, proxy(told)),
    )
    .then((packed) => {
      ended = true;
      return unpack(targetFoundSchema, packed);
    });
  return {
    result: Promise.race([found, cancelled]),
    cancel() {
      if (ended) return;
      ended = true;
      solver.stop();
      cancelNow(null);
    },
  };
}
