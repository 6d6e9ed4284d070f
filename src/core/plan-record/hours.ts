import type { WorkingHours } from './schema';

export const MINUTES_A_DAY = 24 * 60;

/** Times that one work may be kept out of besides the last. */
export const MOST_TIMES = 60;

export const DATE = /^\d{4}-\d{2}-\d{2}$/;

export const EXCEPTIONS = ['away', 'ill', 'extra'] as const;

export const USUAL_HOURS: WorkingHours = {
  week: [1, 1, 1, 1, 1, 0, 0].map((works) => (works ? [{ from: 18 * 60, to: 20 * 60 + 30 }] : [])),
  daylightOnly: false,
};
