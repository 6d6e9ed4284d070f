import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { mergeRecords, NEW_PLAN_RECORD, PLAN_RECORD_ID } from '@/core/plan-record/record';
import type { PlanRecord } from '@/core/plan-record/schema';

/** A change the painter made to the plan, and the record before and after. */
export interface PlanChange {
  what: string;
  before: PlanRecord;
  after: PlanRecord;
}

const slice = createSlice({
  name: 'plan',
  /** By id, of which there is one; empty until something is said of the weeks to come. */
  initialState: {} as Record<string, PlanRecord | undefined>,
  reducers: {
    planChanged(_state, { payload }: PayloadAction<PlanChange>) {
      return { [PLAN_RECORD_ID]: payload.after };
    },
    /** Taken back as a change of its own: what came since, from here or another tab, stays. */
    planTakenBack(state, { payload: { before, after } }: PayloadAction<PlanChange>) {
      const now = state[PLAN_RECORD_ID] ?? after;
      return { [PLAN_RECORD_ID]: mergeRecords(after, before, now as PlanRecord) };
    },
    /** What the plan itself keeps: where works stood, what was said. Nothing to take back. */
    planNoted(_state, { payload }: PayloadAction<PlanRecord>) {
      return { [PLAN_RECORD_ID]: payload };
    },
    planLeft() {
      return {};
    },
  },
});

export const { planChanged, planTakenBack, planNoted, planLeft } = slice.actions;
export const planReducer = slice.reducer;

export const planRecordOf = (state: { plan: Record<string, PlanRecord | undefined> }): PlanRecord =>
  state.plan[PLAN_RECORD_ID] ?? NEW_PLAN_RECORD;
