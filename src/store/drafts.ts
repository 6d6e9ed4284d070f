import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';

/** A form that was left half done: what it began from and how far it is. Whether it can still be opened the form judges. */
export const keptDraftSchema = z.object({
  key: z.string().min(1).max(400),
  at: z.iso.datetime(),
  base: z.unknown(),
  draft: z.unknown(),
});
export type KeptDraft = z.infer<typeof keptDraftSchema>;

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
    draftsLoaded(_state, { payload }: PayloadAction<KeptDraft[]>) {
      return Object.fromEntries(payload.map((d) => [d.key, d]));
    },
  },
});

export const { draftKept, draftDropped, draftsLoaded } = slice.actions;
export const draftsReducer = slice.reducer;
