import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { mergeCabinets } from '@/core/cabinet/edit';
import type { Cabinet } from '@/core/cabinet/schema';
import { starterCabinet } from '@/core/cabinet/starter';

/** A change the painter made to the cabinet, and how it is called. */
export interface CabinetChange {
  what: string;
  before: Cabinet;
  after: Cabinet;
}

const slice = createSlice({
  name: 'cabinet',
  initialState: starterCabinet() as Cabinet,
  reducers: {
    /** The painter changed a paint or a medium. */
    cabinetChanged(_state, { payload }: PayloadAction<CabinetChange>) {
      return payload.after;
    },
    /** Read from storage, from another tab, or merged with what another tab wrote. */
    cabinetArrived(_state, { payload }: PayloadAction<Cabinet>) {
      return payload;
    },
    /** A change is taken back, without losing what came after it. */
    cabinetTakenBack(state, { payload: { before, after } }: PayloadAction<CabinetChange>) {
      return mergeCabinets(after, { ...before, revision: after.revision }, state as Cabinet);
    },
  },
});

export const { cabinetChanged, cabinetArrived, cabinetTakenBack } = slice.actions;
export const cabinetReducer = slice.reducer;
