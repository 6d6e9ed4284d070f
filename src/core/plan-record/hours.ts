import { z } from 'zod';

export const MINUTES_A_DAY = 24 * 60;
const CLOCK = { error: 'Give times such as 18:30.' };
const minute = z.number(CLOCK).int(CLOCK).min(0, CLOCK).max(MINUTES_A_DAY, CLOCK);
export const hoursSchema = z
  .object({ from: minute, to: minute })
  .refine((h) => h.from < h.to, { error: 'Hours must end after they begin.' });
/** From one minute of the day to another, local time. */
export type Hours = z.infer<typeof hoursSchema>;

export const DATE = /^\d{4}-\d{2}-\d{2}$/;
const date = z.string().regex(DATE, { error: 'Must be a date such as 2026-03-12.' });

export const EXCEPTIONS = ['away', 'ill', 'extra'] as const;
export const exceptionSchema = z
  .object({
    id: z.string().min(1).max(80),
    kind: z.enum(EXCEPTIONS),
    /** First and last day of it, local dates. */
    from: date,
    to: date,
    /** The hours of an extra day. */
    hours: hoursSchema.nullable(),
  })
  .refine((e) => e.from <= e.to, { error: 'It must end on the day it begins, or later.' });
export type CalendarException = z.infer<typeof exceptionSchema>;

export const workingHoursSchema = z.object({
  /** Monday first; each day's hours in order. */
  week: z.array(z.array(hoursSchema).max(6)).length(7),
  /** Only between sunrise and sunset. */
  daylightOnly: z.boolean(),
});
export type WorkingHours = z.infer<typeof workingHoursSchema>;

export const USUAL_HOURS: WorkingHours = {
  week: [1, 1, 1, 1, 1, 0, 0].map((works) => (works ? [{ from: 18 * 60, to: 20 * 60 + 30 }] : [])),
  daylightOnly: false,
};
