import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { KeptDraft } from './keep/draft-schema';

const slice = createSlice({
  name: 'drafts',
  initialState: {} as Record<string, KeptDraft | undefined>,
  reducers: {
    draftKept(state, { payload }: PayloadAction<KeptDraft>) {
      state[payload.key] = payload;
    },
    /** Kept as a document, or thrown away. */
    draftDropped(state, { payload }: PayloadAction<string>) {
      delete state[payload];
    },
    /** Read at the start. What has been typed meanwhile is the newer. */
    draftsLoaded(state, { payload }: PayloadAction<KeptDraft[]>) {
      for (const draft of payload) state[draft.key] ??= draft;
    },
  },
});

export const { draftKept, draftDropped, draftsLoaded } = slice.actions;
export const draftsReducer = slice.reducer;
