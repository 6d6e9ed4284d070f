import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ClimateMonth } from '@/core/climate/readings';

/** The readings that are kept, by month. */
export type ClimateMonths = Record<string, ClimateMonth | undefined>;

const slice = createSlice({
  name: 'climate',
  initialState: {} as ClimateMonths,
  reducers: {
    monthsChanged(state, { payload }: PayloadAction<ClimateMonth[]>) {
      for (const month of payload) state[month.id] = month;
    },
    monthsLoaded(_state, { payload }: PayloadAction<ClimateMonth[]>) {
      return Object.fromEntries(payload.map((m) => [m.id, m]));
    },
    monthLeft(state, { payload }: PayloadAction<string>) {
      delete state[payload];
    },
  },
});

export const { monthsChanged, monthsLoaded, monthLeft } = slice.actions;
export const climateReducer = slice.reducer;
