import { useEffect, useRef } from 'react';
import { keepForecasts } from '@/core/plan/look-back';
import type { StudioPlan } from '@/core/plan/studio-plan';
import { changedRecord, type PlanRecord } from '@/core/plan/record';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { planNoted, planRecordOf } from '@/store/plan';
import {
  planArrived,
  planningBegan,
  planningFailed,
  planningStopped,
  planningWent,
} from '@/store/planned';
import type { Dispatch, State } from '@/store/store';
import { solvePlan, type PlanJob } from '@/workers/plan-client';
import { localZone, usePlanRequest } from './usePlanRequest';

/** A hand that nudges twice should not begin twice. */
const SETTLE_MS = 120;
const NO_CHANGE: [] = [];

/** Where works stand now, for the next plan; and what the plan says, for the day it is judged. */
function noted(record: PlanRecord, made: StudioPlan, nowMs: number): PlanRecord {
  const last = made.plan.sessions.flatMap((s) =>
    s.works.map((w) => ({ id: w.id, at: new Date(w.startMs).toISOString() })),
  );
  const moved = JSON.stringify(last) !== JSON.stringify(record.last);
  const here = moved ? changedRecord(record, { last }) : record;
  return keepForecasts(
    here,
    made.plan,
    { draws: made.draws, goals: [], works: made.works },
    made.steps,
    nowMs,
    localZone(),
  );
}

const note =
  (made: StudioPlan, nowMs: number) =>
  (dispatch: Dispatch, getState: () => State): void => {
    const before = planRecordOf(getState());
    const after = noted(before, made, nowMs);
    if (after !== before) dispatch(planNoted(after));
  };

/**
 * Makes the plan whenever something it depends on has changed, as long as a screen of the plan is open: a first one at
 * once, then the settled one. What was there stays in sight until then.
 */
export function useMakePlan(): { stop(): void } {
  const dispatch = useStoreDispatch();
  const request = usePlanRequest(NO_CHANGE);
  const record = useStoreSelector(planRecordOf);
  /** The search that runs, so that it can be stopped: the plan so far stays. */
  const current = useRef<PlanJob | null>(null);
  useEffect(() => {
    let job: PlanJob | null = null;
    let gone = false;
    const run = async () => {
      dispatch(planningBegan());
      const asked = { ...request, record };
      try {
        job = solvePlan({ ...asked, quick: true }, () => undefined);
        const first = await job.result;
        if (gone) return;
        dispatch(planArrived({ plan: first, settled: false }));
        job = solvePlan(asked, (done) => !gone && dispatch(planningWent(done)));
        current.current = job;
        const settled = await job.result;
        if (gone) return;
        dispatch(planArrived({ plan: settled, settled: true }));
        dispatch(note(settled, request.nowMs));
      } catch (error) {
        if (!gone) dispatch(planningFailed(error instanceof Error ? error.message : String(error)));
      }
    };
    const timer = setTimeout(() => void run(), SETTLE_MS);
    return () => {
      gone = true;
      clearTimeout(timer);
      job?.cancel();
    };
    // The record is read when the plan begins; what it notes itself is no reason to begin again.
  }, [dispatch, request]);
  return {
    stop() {
      current.current?.cancel();
      dispatch(planningStopped());
    },
  };
}
