import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { nowMs } from './clock';

const slice = createSlice({
  name: 'present',
  initialState: () => ({ nowMs: nowMs() }),
  reducers: {
    /** The one tick: every screen tells of the same present. */
    ticked(state, { payload }: PayloadAction<number>) {
      state.nowMs = payload;
    },
  },
});

export const { ticked } = slice.actions;
export const presentReducer = slice.reducer;
