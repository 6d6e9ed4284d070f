import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { StudioPlan } from '@/core/plan/studio-plan';

/** What the worker last made of the plan. Derived, never kept; shown until the next is there. */
interface PlannedState {
  plan: StudioPlan | null;
  /** The search is over; before that it is a first plan. */
  settled: boolean;
  /** 0 to 1 while it works; null when it rests. */
  progress: number | null;
  problem: string | null;
}

const slice = createSlice({
  name: 'planned',
  initialState: { plan: null, settled: false, progress: null, problem: null } as PlannedState,
  reducers: {
    planningBegan(state) {
      state.progress = 0;
      state.problem = null;
    },
    planningWent(state, { payload }: PayloadAction<number>) {
      if (state.progress !== null) state.progress = payload;
    },
    planArrived(
      _state,
      { payload }: PayloadAction<{ plan: StudioPlan; settled: boolean }>,
    ): PlannedState {
      return { ...payload, progress: payload.settled ? null : 0.1, problem: null };
    },
    planningStopped(state) {
      state.progress = null;
    },
    planningFailed(state, { payload }: PayloadAction<string>) {
      state.progress = null;
      state.problem = payload;
    },
  },
});

export const { planningBegan, planningWent, planArrived, planningStopped, planningFailed } =
  slice.actions;
export const plannedReducer = slice.reducer;
