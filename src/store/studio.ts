import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
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
    /** Read from storage, from another tab or from a file. */
    studioArrived(_state, { payload }: PayloadAction<Studio>) {
      return payload;
    },
  },
});

export const { settingsChanged, studioArrived } = slice.actions;
export const studioReducer = slice.reducer;
