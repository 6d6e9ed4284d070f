import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ClimateMonth } from '@/core/climate/readings-schema';
import type { Studio } from '@/core/formats/studio-schema';
import { cabinetChanged, type CabinetChange } from './cabinet';
import { painterChanged, type PaintingChange } from './paintings';
import { planChanged, type PlanChange } from './plan';
import { sessionChanged, type SessionChange } from './sessions';

/** What can be taken back, newest last: it lives while the page is open. */
export type Change =
  | ({ of: 'painting' } & PaintingChange)
  | ({ of: 'cabinet' } & CabinetChange)
  | ({ of: 'session' } & SessionChange)
  | ({ of: 'plan' } & PlanChange)
  | { of: 'climate'; what: string; before: ClimateMonth | null; after: ClimateMonth }
  | { of: 'studio'; what: string; before: Studio | null; after: Studio }
  /** Several as one step. */
  | { of: 'several'; what: string; parts: Change[] };

const UNDO_DEPTH = 50;

const slice = createSlice({
  name: 'undo',
  initialState: { changes: [] as Change[] },
  reducers: {
    /** Several changes that are taken back together. */
    changesMade(state, { payload }: PayloadAction<{ what: string; parts: Change[] }>) {
      state.changes = [
        ...(state.changes as Change[]),
        { of: 'several' as const, ...payload },
      ].slice(-UNDO_DEPTH);
    },
    /** The last few changes are taken back together from now on. */
    changesJoined(state, { payload }: PayloadAction<{ what: string; count: number }>) {
      const all = state.changes as Change[];
      const parts = all.slice(-payload.count);
      state.changes = [
        ...all.slice(0, -payload.count),
        { of: 'several' as const, what: payload.what, parts },
      ];
    },
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

export const { changeDropped, changesJoined, changesMade } = slice.actions;
export const undoReducer = slice.reducer;
