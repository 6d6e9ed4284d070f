import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A document in storage that cannot be read. It is left there untouched. */
export interface Unreadable {
  key: string;
  message: string;
  raw: string;
}

interface Saving {
  phase: 'loading' | 'saved' | 'pending' | 'failed';
  /** Why the last write failed. */
  reason: string | null;
  unreadable: Unreadable[];
}

const slice = createSlice({
  name: 'saving',
  initialState: { phase: 'loading', reason: null, unreadable: [] } as Saving,
  reducers: {
    loaded(state, { payload }: PayloadAction<Unreadable[]>) {
      state.phase = 'saved';
      state.unreadable = payload;
    },
    loadFailed(state, { payload }: PayloadAction<string>) {
      state.phase = 'failed';
      state.reason = payload;
    },
    /** A failure stays in sight until a write holds. */
    writeBegan(state) {
      if (state.phase !== 'failed') state.phase = 'pending';
    },
    writeHeld(state) {
      state.phase = 'saved';
      state.reason = null;
    },
    writeFailed(state, { payload }: PayloadAction<string>) {
      state.phase = 'failed';
      state.reason = payload;
    },
  },
});

export const { loaded, loadFailed, writeBegan, writeHeld, writeFailed } = slice.actions;
export const savingReducer = slice.reducer;
