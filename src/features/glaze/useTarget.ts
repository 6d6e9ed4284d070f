import { useEffect, useRef, useState } from 'react';
import { OPTICS } from '@/data/optics';
import { OPTICS_BENCH } from '@/data/optics-bench';
import { BINDERS } from '@/data/binders';
import { asTube, type CabinetPaint } from '@/core/cabinet';
import type { MediumPart } from '@/core/film';
import type { Lab } from '@/core/optics';
import type { Painting } from '@/core/painting';
import type { PassageFound } from '@/core/glaze/for-passage';
import { useNow, useSolverAir, useStoreSelector } from '@/store/hooks';
import { solveTarget, type TargetJob } from '@/workers/colour-client';
import type { TargetRequest } from '@/workers/colour-protocol';

/** The paints that a glaze may be looked for among: those of the cabinet that oil takes. */
export const glazePaints = (paints: readonly CabinetPaint[]): CabinetPaint[] =>
  paints.filter((p) => !p.archived && BINDERS[p.binder].kind !== 'acrylic').slice(0, PAINTS_MOST);
/** As many as the search takes. */
const PAINTS_MOST = 60;
const USUAL_UM = 12;
/** Without one of the painter's own a glaze is thinned with what most are. */
export const USUAL_MEDIUM: { medium: MediumPart[]; mediumName: string } = {
  medium: [{ parts: 1, ingredient: 'stand-oil' }],
  mediumName: 'stand oil',
};
export const USUAL_MEDIUM_SHARE = 0.9;

/** What is asked of the search, in the air and with the cabinet of this studio. */
export function useTargetRequest() {
  const cabinet = useStoreSelector((s) => s.cabinet);
  const air = useSolverAir();
  const nowMs = useNow();
  return (asked: {
    painting: Painting;
    passageId: string;
    paints: readonly CabinetPaint[];
    medium: MediumPart[];
    mediumName?: string | undefined;
    mostMediumShare: number;
    wanted: Lab;
    mostPaints: 1 | 2 | 3;
  }): TargetRequest => {
    const { paints, mediumName, ...rest } = asked;
    return {
      ...rest,
      ...(mediumName !== undefined && { mediumName }),
      cabinet,
      tubes: paints.map((p) => ({ parts: 1, own: asTube(p) })),
      leastUm: OPTICS_BENCH.glazeLeastUm,
      mostUm: OPTICS_BENCH.glazeMostUm,
      usualUm: USUAL_UM,
      uneven: OPTICS.cvSoftBrush,
      ...air,
      nowMs,
    };
  };
}

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
