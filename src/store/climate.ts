import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { finished } from './finished';
import type { ClimateMonth } from '@/core/climate/readings-schema';

/** The readings that are kept, by month. */
export type ClimateMonths = Record<string, ClimateMonth | undefined>;

const slice = createSlice({
  name: 'climate',
  initialState: {} as ClimateMonths,
  reducers: {
    monthsChanged: {
      prepare: (months: ClimateMonth[]) => ({ payload: months.map(finished) }),
      reducer(state, { payload }: PayloadAction<ClimateMonth[]>) {
        for (const month of payload) state[month.id] = month;
      },
    },
    monthLeft(state, { payload }: PayloadAction<string>) {
      delete state[payload];
    },
  },
});

export const { monthsChanged, monthLeft } = slice.actions;
export const climateReducer = slice.reducer;
