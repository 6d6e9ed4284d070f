import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { mergeStudios } from '@/core/formats/merge-studio';
import { NEW_STUDIO, type Studio } from '@/core/formats';

const slice = createSlice({
  name: 'studio',
  initialState: NEW_STUDIO as Studio,
  reducers: {
    /** The painter changed a setting. */
    settingsChanged(
      state,
      { payload }: PayloadAction<Partial<Omit<Studio, 'schemaVersion' | 'revision'>>>,
    ) {
      return { ...state, ...payload, revision: state.revision + 1 };
    },
    /** What a file brought is taken back, without losing what was set since. */
    settingsTakenBack(
      state,
      { payload: { before, after } }: PayloadAction<{ before: Studio; after: Studio }>,
    ) {
      return mergeStudios(after, before, state as Studio);
    },
    /** Read from storage, from another tab or from a file. */
    studioArrived(_state, { payload }: PayloadAction<Studio>) {
      return payload;
    },
  },
});

export const { settingsChanged, settingsTakenBack, studioArrived } = slice.actions;
export const studioReducer = slice.reducer;
