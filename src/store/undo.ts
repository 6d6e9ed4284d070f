import { createSlice } from '@reduxjs/toolkit';
import { cabinetChanged, type CabinetChange } from './cabinet';
import { painterChanged, type PaintingChange } from './paintings';
import { planChanged, type PlanChange } from './plan';
import { sessionChanged, type SessionChange } from './sessions';

/** What can be taken back, newest last: it lives while the page is open. */
export type Change =
  | ({ of: 'painting' } & PaintingChange)
  | ({ of: 'cabinet' } & CabinetChange)
  | ({ of: 'session' } & SessionChange)
  | ({ of: 'plan' } & PlanChange);

const UNDO_DEPTH = 50;

const slice = createSlice({
  name: 'undo',
  initialState: { changes: [] as Change[] },
  reducers: {
    changeDropped(state) {
      state.changes.pop();
    },
  },
  extraReducers: (builder) => {
    const remember = (changes: Change[], change: Change): Change[] =>
      [...changes, change].slice(-UNDO_DEPTH);
    builder.addCase(painterChanged, (state, { payload }) => {
      state.changes = remember(state.changes as Change[], { of: 'painting', ...payload });
    });
    builder.addCase(sessionChanged, (state, { payload }) => {
      state.changes = remember(state.changes as Change[], { of: 'session', ...payload });
    });
    builder.addCase(planChanged, (state, { payload }) => {
      state.changes = remember(state.changes as Change[], { of: 'plan', ...payload });
    });
    builder.addCase(cabinetChanged, (state, { payload }) => {
      state.changes = remember(state.changes as Change[], { of: 'cabinet', ...payload });
    });
  },
});

export const { changeDropped } = slice.actions;
export const undoReducer = slice.reducer;
