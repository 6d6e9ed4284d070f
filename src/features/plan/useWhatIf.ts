import { useEffect, useMemo, useRef, useState } from 'react';
import type { StudioPlan } from '@/core/schedule/studio-plan';
import { suppose, type WhatIf } from '@/core/schedule/what-if';
import { changedRecord } from '@/core/plan-record/record';
import { changePainting, changePlan } from '@/store/actions';
import { settingsChanged } from '@/store/studio';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { planRecordOf } from '@/store/plan';
import { planRequestOf, selectPlanInput } from '@/store/select-plan';
import { solvePlan, type PlanJob } from '@/workers/plan-client';

export interface WhatIfState {
  changes: WhatIf[];
  set(changes: WhatIf[]): void;
  other: StudioPlan | null;
  progress: number | null;
  problem: string;
  keep(): void;
}

const NOTHING: WhatIf[] = [];

/** What came of a supposition, and of which. */
interface Answer {
  asked: object;
  other: StudioPlan | null;
  progress: number | null;
  problem: string;
}

/** A second plan beside the first, as if some things were otherwise; kept, they become so. */
export function useWhatIf(): WhatIfState {
  const dispatch = useStoreDispatch();
  const [changes, setChanges] = useState<WhatIf[]>(NOTHING);
  const input = useStoreSelector(selectPlanInput);
  const record = useStoreSelector(planRecordOf);
  const recordNow = useRef(record);
  useEffect(() => {
    recordNow.current = record;
  });
  const climate = useStoreSelector((state) => state.studio.climate);
  const asked = useMemo(() => ({ input, changes }), [input, changes]);
  const [answer, setAnswer] = useState<Answer | null>(null);
  useEffect(() => {
    if (asked.changes.length === 0) return;
    const job: PlanJob = solvePlan(
      planRequestOf(asked.input, recordNow.current, asked.changes),
      (progress) => setAnswer({ asked, other: null, progress, problem: '' }),
    );
    job.result.then(
      (outcome) => {
        if (outcome.ended === 'done')
          setAnswer({ asked, other: outcome.plan, progress: null, problem: '' });
      },
      (error: Error) => setAnswer({ asked, other: null, progress: null, problem: error.message }),
    );
    return () => job.cancel();
  }, [asked]);
  // An answer to something else is none.
  const { other, progress, problem } =
    answer?.asked === asked
      ? answer
      : { other: null, progress: changes.length > 0 ? 0 : null, problem: '' };
  const { paintings } = input;
  return useMemo(
    () => ({
      changes,
      set: setChanges,
      other,
      progress,
      problem,
      keep() {
        const supposed = suppose(paintings, recordNow.current, changes);
        supposed.paintings.forEach((after) => {
          if (!paintings.includes(after))
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
    [changes, other, progress, problem, paintings, dispatch, climate],
  );
}
