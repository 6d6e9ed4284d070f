import { keepForecasts } from '@/core/plan-record/look-back';
import { changedRecord } from '@/core/plan-record/record';
import type { PlanRecord } from '@/core/plan-record/schema';
import type { StudioPlan } from '@/core/schedule/studio-plan';
import type { PlanJob } from '@/workers/plan-client';
import type { PlanRequest } from '@/workers/plan-protocol';
import { planNoted, planRecordOf } from '../plan';
import {
  keptPlanFound,
  planArrived,
  planningBegan,
  planningFailed,
  planningStopped,
  planningWent,
  planWatched,
} from '../planned';
import {
  planRequestOf,
  selectAnythingToPlan,
  selectPlanInput,
  selectPlanKey,
} from '../select-plan';
import { localZone } from '../select-work';
import type { Storage } from '../storage';
import type { Dispatch, State, Store } from '../store';
import { readKeptPlan, writeKeptPlan } from './kept-plan';

/** A hand that nudges twice should not begin twice. */
const SETTLE_MS = 120;
/** With no screen of the plan open it can wait until the hand rests. */
const UNSEEN_MS = 20_000;

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

type Solve = (request: PlanRequest, onProgress: (done: number) => void) => PlanJob;

/**
 * Makes the plan once for its input, whoever looks and wherever: a first one at once, then the settled one, which is
 * kept. Without a screen of the plan open it is made when the hand rests, so that what was forecast is noted all the same.
 */
export function keepPlanned(store: Store, solve: Solve, storage: Storage): () => void {
  /** What the plan under way, or the last one, was made from. */
  let made: string | null = null;
  let running: PlanJob | null = null;

  async function search(state: State, key: string): Promise<void> {
    const input = selectPlanInput(state);
    const request = planRequestOf(input, planRecordOf(state), []);
    const run = async (job: PlanJob): Promise<StudioPlan | null> => {
      running = job;
      const outcome = await job.result;
      return outcome.ended === 'done' ? outcome.plan : null;
    };
    store.dispatch(planningBegan());
    const first = await run(solve({ ...request, quick: true }, () => undefined));
    if (!first) return;
    store.dispatch(planArrived({ plan: first, key, settled: false }));
    const settled = await run(solve(request, (done) => store.dispatch(planningWent(done))));
    if (!settled) return;
    store.dispatch(planArrived({ plan: settled, key, settled: true }));
    store.dispatch(note(settled, input.nowMs));
    await writeKeptPlan(storage, key, settled);
  }

  async function plan(state: State): Promise<void> {
    const key = selectPlanKey(state);
    if (key === made) return;
    made = key;
    running?.cancel();
    try {
      await search(state, key);
    } catch (error) {
      if (made === key) made = null;
      if (made === null)
        store.dispatch(planningFailed(error instanceof Error ? error.message : String(error)));
    }
  }

  const stopListening = store.listen({
    predicate: (action, now, before) =>
      planWatched.match(action) ||
      (selectAnythingToPlan(now) && selectPlanKey(now) !== selectPlanKey(before)),
    effect: async (action, { cancelActiveListeners, delay, getState }) => {
      cancelActiveListeners();
      const seen = getState().planned.watchers > 0;
      if (!planWatched.match(action)) await delay(seen ? SETTLE_MS : UNSEEN_MS);
      // Not awaited here: a change that comes meanwhile cancels the wait, not the search it has begun.
      void plan(getState());
    },
  });
  const stopStopping = store.listen({
    actionCreator: planningStopped,
    effect: () => {
      running?.cancel();
      // Looked at again, it is made after all.
      made = null;
    },
  });
  void readKeptPlan(storage).then((kept) => {
    if (!kept) return;
    store.dispatch(keptPlanFound(kept));
    if (kept.key === selectPlanKey(store.getState())) made ??= kept.key;
  });
  return () => {
    stopListening();
    stopStopping();
    running?.cancel();
  };
}
