import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A document in storage that cannot be read. */
export interface Unreadable {
  /** The key it had. */
  key: string;
  /** Where its bytes are now; the same key where a later edition wrote it, which is left alone. */
  aside: string;
  message: string;
  raw: string;
}

/** A document that is here and is not kept, since it could not be read again. */
export interface Refused {
  key: string;
  message: string;
}

interface Saving {
  phase: 'loading' | 'saved' | 'pending' | 'failed';
  /** Why the last write failed. */
  reason: string | null;
  unreadable: Unreadable[];
  refused: Refused[];
  /** The last thing that was not done, since it could not have been kept. */
  declined: string | null;
  /** Another tab runs a later edition: what it writes is not understood here. */
  later: boolean;
}

const slice = createSlice({
  name: 'saving',
  initialState: {
    phase: 'loading',
    reason: null,
    unreadable: [],
    refused: [],
    declined: null,
    later: false,
  } as Saving,
  reducers: {
    /** A failure stays in sight until a write holds. */
    loaded(state, { payload }: PayloadAction<Unreadable[]>) {
      if (state.phase === 'loading') state.phase = 'saved';
      state.unreadable = payload;
    },
    /** A file brought something that could not be read where it was made. */
    asideFound(state, { payload }: PayloadAction<Unreadable[]>) {
      const known = new Set(state.unreadable.map((u) => u.aside));
      state.unreadable.push(...payload.filter((u) => !known.has(u.aside)));
    },
    /** What was set aside is thrown away, or has come back. */
    asideGone(state, { payload }: PayloadAction<string>) {
      state.unreadable = state.unreadable.filter((u) => u.aside !== payload);
    },
    /** A failure stays in sight until a write holds. */
    writeBegan(state) {
      if (state.phase !== 'failed') state.phase = 'pending';
    },
    writeHeld(state, { payload }: PayloadAction<Refused[]>) {
      state.phase = 'saved';
      state.reason = null;
      state.refused = payload;
    },
    /** Storage could not be opened or written; what is here stays here. */
    writeFailed(state, { payload }: PayloadAction<string>) {
      state.phase = 'failed';
      state.reason = payload;
    },
    changeDeclined(state, { payload }: PayloadAction<string | null>) {
      state.declined = payload;
    },
    laterEditionSeen(state) {
      state.later = true;
    },
  },
});

export const {
  loaded,
  asideFound,
  asideGone,
  writeBegan,
  writeHeld,
  writeFailed,
  changeDeclined,
  laterEditionSeen,
} = slice.actions;
export const savingReducer = slice.reducer;
