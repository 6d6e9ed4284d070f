import { useEffect, useMemo, useRef, useState } from 'react';
import type { StudioPlan } from '@/core/plan/studio-plan';
import { suppose, type WhatIf } from '@/core/plan/what-if';
import { changedRecord } from '@/core/plan/record';
import { changePainting, changePlan } from '@/store/actions';
import { settingsChanged } from '@/store/studio';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { planRecordOf } from '@/store/plan';
import { solvePlan, type PlanJob } from '@/workers/plan-client';
import { usePlanRequest } from './usePlanRequest';

export interface WhatIfState {
  changes: WhatIf[];
  set(changes: WhatIf[]): void;
  other: StudioPlan | null;
  progress: number | null;
  problem: string;
  keep(): void;
}

const NOTHING: WhatIf[] = [];

/** A second plan beside the first, as if some things were otherwise; kept, they become so. */
export function useWhatIf(): WhatIfState {
  const dispatch = useStoreDispatch();
  const [changes, setChanges] = useState<WhatIf[]>(NOTHING);
  const [other, setOther] = useState<StudioPlan | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [problem, setProblem] = useState('');
  const request = usePlanRequest(changes);
  const record = useStoreSelector(planRecordOf);
  const recordNow = useRef(record);
  recordNow.current = record;
  const climate = useStoreSelector((state) => state.studio.climate);
  useEffect(() => {
    setOther(null);
    setProblem('');
    if (changes.length === 0) return setProgress(null);
    setProgress(0);
    let gone = false;
    const job: PlanJob = solvePlan(
      { ...request, record: recordNow.current },
      (done) => !gone && setProgress(done),
    );
    job.result.then(
      (made) => {
        if (gone) return;
        setOther(made);
        setProgress(null);
      },
      (error: Error) => {
        if (gone) return;
        setProblem(error.message);
        setProgress(null);
      },
    );
    return () => {
      gone = true;
      job.cancel();
    };
  }, [request, changes]);
  return useMemo(
    () => ({
      changes,
      set: setChanges,
      other,
      progress,
      problem,
      keep() {
        const supposed = suppose(request.paintings, recordNow.current, changes);
        supposed.paintings.forEach((after) => {
          if (!request.paintings.includes(after))
            dispatch(
              changePainting(after.id, `Changed the coats of ${after.title}`, (p, making) => ({
                // As it is now: it may have been changed while the other plan was made.
                ...suppose([p], recordNow.current, changes).paintings[0]!,
                revision: p.revision + 1,
                updatedAt: making.now,
              })),
            );
        });
        if (supposed.record !== recordNow.current)
          dispatch(
            changePlan('Kept the other plan', (now) =>
              changedRecord(now, {
                hours: supposed.record.hours,
                exceptions: supposed.record.exceptions,
              }),
            ),
          );
        if (supposed.warmerC !== 0)
          dispatch(
            settingsChanged({
              climate: { ...climate, temperatureC: climate.temperatureC + supposed.warmerC },
            }),
          );
        setChanges(NOTHING);
      },
    }),
    [changes, other, progress, problem, request, dispatch, climate],
  );
}
