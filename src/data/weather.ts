import type { ConstantRow } from './constants';
import { JUDGEMENT, lowRow, valuesOf } from './rows';

/** How the air of the next days is guessed from the readings of the last. */
export const WEATHER_ROWS = {
  /** Days that are asked: a longer memory lags behind the season, by a degree or two in spring. */
  memoryDays: lowRow(14, 'd'),
  /** Below this many hours of readings there is no pattern to be learned. */
  leastHours: lowRow(24, 'h'),
  /** A guess for the spread of days: a heating that held all last fortnight says little of the day it goes off. */
  guessSdC: lowRow(1.2, 'C, standard deviation of daily means'),
  /** Days of readings that the guess is worth. */
  guessDays: lowRow(4, 'd'),
  guessPersistence: lowRow(0.7, 'correlation of one day with the next'),
  /** From here on persistence is estimated, not guessed. */
  enoughDays: lowRow(7, 'd'),
  mostPersistence: lowRow(0.95, 'correlation of one day with the next'),
  /** However few days there are, the pattern has not taken more than the rest of their variance. */
  leastLeft: lowRow(0.4, 'share of the variance'),
  /** Over which what is left of the last day's weather is still worth reckoning. */
  fadingDays: lowRow(14, 'd', `persistence 0.7 leaves under a hundredth; ${JUDGEMENT}`),
} as const satisfies Record<string, ConstantRow>;

export const WEATHER = valuesOf(WEATHER_ROWS);
