import { useEffect, useRef, useState } from 'react';
import type { PassageFound } from '@/core/glaze/for-passage';
import { solveTarget, type TargetJob } from '@/workers/colour-client';
import type { TargetRequest } from '@/workers/colour-protocol';

export type TargetState =
  | { at: 'rest' }
  | { at: 'work'; done: number }
  | { at: 'found'; found: PassageFound; wanted: TargetRequest['wanted'] }
  | { at: 'failed'; why: string };

/** The search for a glaze: one at a time, told how far it is, cancelled when it is left. */
export function useTarget(): {
  state: TargetState;
  begin(request: TargetRequest): void;
  cancel(): void;
} {
  const [state, setState] = useState<TargetState>({ at: 'rest' });
  const job = useRef<TargetJob | null>(null);
  useEffect(() => () => job.current?.cancel(), []);
  return {
    state,
    begin(request) {
      job.current?.cancel();
      setState({ at: 'work', done: 0 });
      const own = solveTarget(request, (done) => setState({ at: 'work', done }));
      job.current = own;
      own.result.then(
        (found) => {
          if (job.current === own)
            setState(found ? { at: 'found', found, wanted: request.wanted } : { at: 'rest' });
        },
        (error: Error) => {
          if (job.current === own) setState({ at: 'failed', why: error.message });
        },
      );
    },
    cancel() {
      job.current?.cancel();
      job.current = null;
      setState({ at: 'rest' });
    },
  };
}
