import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/**
 * Of the program itself: `waiting` when a new edition is there and waits to be taken, `taken` when another tab has
 * taken it and this one still runs the old.
 */
export type Edition = 'current' | 'waiting' | 'taken';

const slice = createSlice({
  name: 'edition',
  initialState: 'current' as Edition,
  reducers: {
    editionSeen: (_state, { payload }: PayloadAction<Edition>) => payload,
  },
});

export const { editionSeen } = slice.actions;
export const editionReducer = slice.reducer;
