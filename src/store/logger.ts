import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** The line to the logger, as it is now; never kept. */
interface LoggerState {
  line: 'off' | 'connecting' | 'on' | 'lost';
  last: { atMs: number; temperatureC: number; relativeHumidityPct: number } | null;
}

const slice = createSlice({
  name: 'logger',
  initialState: { line: 'off', last: null } as LoggerState,
  reducers: {
    lineChanged(state, { payload }: PayloadAction<LoggerState['line']>) {
      state.line = payload;
    },
    readingHeard(state, { payload }: PayloadAction<NonNullable<LoggerState['last']>>) {
      state.line = 'on';
      state.last = payload;
    },
  },
});

export const { lineChanged, readingHeard } = slice.actions;
export const loggerReducer = slice.reducer;
