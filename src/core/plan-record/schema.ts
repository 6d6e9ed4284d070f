import { z } from 'zod';
import { idSchema, revisionSchema } from '../id-schema';
import { PLAN_RECORD_VERSION } from '../editions';
import { DATE, EXCEPTIONS, MINUTES_A_DAY, MOST_TIMES } from './hours';
import { PLAN_RECORD_ID } from './record';

const CLOCK = { error: 'Give times such as 18:30.' };

const minute = z.number(CLOCK).int(CLOCK).min(0, CLOCK).max(MINUTES_A_DAY, CLOCK);

export const hoursSchema = z
  .object({ from: minute, to: minute })
  .refine((h) => h.from < h.to, { error: 'Hours must end after they begin.' });

/** From one minute of the day to another, local time. */
export type Hours = z.infer<typeof hoursSchema>;

const date = z.string().regex(DATE, { error: 'Must be a date such as 2026-03-12.' });

export const exceptionSchema = z
  .object({
    id: idSchema(),
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

const id = idSchema(260);

const timestamp = z.iso.datetime({
  error: 'Must be a date and time such as 2026-02-17T10:15:00.000Z.',
});

/** A work that was put at a moment, by its id. */
const pinSchema = z.object({ id, at: timestamp });

/** A work that is kept out of times, such as weeks: until a moment, from the first or a later one on; and of others. */
const waitSchema = z.object({
  id,
  from: timestamp.optional(),
  until: timestamp,
  also: z
    .array(z.object({ from: timestamp.optional(), until: timestamp }))
    .max(MOST_TIMES)
    .optional(),
});
export type KeptOut = z.infer<typeof waitSchema>;

/** Times taken by something else, as read from one calendar file; what it is called there is not kept. */
const busySchema = z.object({
  /** Name of the file: the same name again takes its place. */
  id: z.string().min(1).max(200),
  importedAt: timestamp,
  times: z.array(z.tuple([timestamp, timestamp])).max(5000),
});

export type BusyCalendar = z.infer<typeof busySchema>;

/** What was said: that a step would be laid by a day, at even odds and with nine chances in ten. */
const forecastSchema = z.object({
  /** The step, and when it was said. */
  id,
  step: id,
  madeAt: timestamp,
  p50: timestamp,
  p90: timestamp,
});

export type PlanForecast = z.infer<typeof forecastSchema>;

/** What was meant for a week: in words, and the works that the plan had in it when the week began. */
const weekSchema = z.object({
  /** Monday, local. */
  id: z.string().regex(/^\d{4}-\d{2}-\d{2}$/),
  goal: z.string().trim().max(300, { error: 'At most 300 letters.' }),
  planned: z.array(z.object({ step: id, minutes: z.number().positive() })).max(400),
});

export type PlanWeek = z.infer<typeof weekSchema>;

export const planRecordSchema = z.object({
  schemaVersion: z.literal(PLAN_RECORD_VERSION),
  id: z.literal(PLAN_RECORD_ID),
  revision: revisionSchema,
  hours: workingHoursSchema,
  exceptions: z.array(exceptionSchema).max(500),
  busy: z.array(busySchema).max(50),
  pins: z.array(pinSchema).max(2000),
  waits: z.array(waitSchema).max(2000),
  /** Minutes before a session at which an exported calendar rings; null: it does not. */
  alarmMinutes: z.number().int().min(0).max(10080).nullable(),
  /** Where works stood in the last plan: the next begins there. */
  last: z.array(pinSchema).max(5000),
  forecasts: z.array(forecastSchema).max(5000),
  weeks: z.array(weekSchema).max(600),
  /** The odds count on hours being held as often as the log says; absent: on all of them. */
  countsHeld: z.boolean().optional(),
});

export type PlanRecord = z.infer<typeof planRecordSchema>;
