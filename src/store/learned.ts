import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Learned } from '@/core/learn';
import type { Conflict } from '@/core/learn/learn';

/** What the worker last made of the touch tests. Derived, never kept: the tests are. */
interface LearnedState {
  learned: Learned | null;
  conflicts: Conflict[];
  /** Why the last try failed; the forecasts then stay as they were. */
  problem: string | null;
}

const slice = createSlice({
  name: 'learned',
  initialState: { learned: null, conflicts: [], problem: null } as LearnedState,
  reducers: {
    learnedArrived(
      _state,
      { payload }: PayloadAction<{ learned: Learned; conflicts: Conflict[] }>,
    ) {
      return { ...payload, problem: null };
    },
    learningFailed(state, { payload }: PayloadAction<string>) {
      state.problem = payload;
    },
  },
});

export const { learnedArrived, learningFailed } = slice.actions;
export const learnedReducer = slice.reducer;
