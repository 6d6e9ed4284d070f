import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { StudioPlan } from '@/core/schedule/studio-plan';

/** What the worker last made of the plan. Derived; kept only so that it can be shown until the next is there. */
interface PlannedState {
  plan: StudioPlan | null;
  /** What it was made from (select-plan.ts); null without a plan. */
  key: string | null;
  /** The search is over; before that it is a first plan. */
  settled: boolean;
  /** 0 to 1 while it works; null when it rests. */
  progress: number | null;
  problem: string | null;
  /** Screens that look at it now. */
  watchers: number;
}

const slice = createSlice({
  name: 'planned',
  initialState: {
    plan: null,
    key: null,
    settled: false,
    progress: null,
    problem: null,
    watchers: 0,
  } as PlannedState,
  reducers: {
    planningBegan(state) {
      state.progress = 0;
      state.problem = null;
    },
    planningWent(state, { payload }: PayloadAction<number>) {
      if (state.progress !== null) state.progress = payload;
    },
    planArrived(
      state,
      { payload }: PayloadAction<{ plan: StudioPlan; key: string; settled: boolean }>,
    ) {
      return {
        ...state,
        ...payload,
        progress: payload.settled ? null : FIRST_PLAN_PROGRESS,
        problem: null,
      };
    },
    /** One that was kept from the last visit: shown until there is a new one. */
    keptPlanFound(state, { payload }: PayloadAction<{ plan: StudioPlan; key: string }>) {
      return state.plan ? state : { ...state, ...payload, settled: true };
    },
    /** The painter asked it to stop: what there is stays. */
    planningStopped(state) {
      state.progress = null;
    },
    planningFailed(state, { payload }: PayloadAction<string>) {
      state.progress = null;
      state.problem = payload;
    },
    planWatched(state) {
      state.watchers += 1;
    },
    planLeftAlone(state) {
      state.watchers = Math.max(0, state.watchers - 1);
    },
  },
});
/** How far along it is said to be once a first plan is there. */
const FIRST_PLAN_PROGRESS = 0.1;

export const {
  planningBegan,
  planningWent,
  planArrived,
  keptPlanFound,
  planningStopped,
  planningFailed,
  planWatched,
  planLeftAlone,
} = slice.actions;
export const plannedReducer = slice.reducer;
