import { z } from 'zod';
import { mergeList } from '../merge-list';
import { exceptionSchema, USUAL_HOURS, workingHoursSchema } from './hours';

/** What the painter has said about the weeks to come, and what the plan said before; one document. */
export const PLAN_RECORD_VERSION = 1;
export const PLAN_RECORD_ID = 'plan';

const id = z.string().min(1).max(260);
const timestamp = z.iso.datetime({
  error: 'Must be a date and time such as 2026-02-17T10:15:00.000Z.',
});

/** A work that was put at a moment, by its id. */
const pinSchema = z.object({ id, at: timestamp });
/** A work that is not to be begun before a moment. */
const waitSchema = z.object({ id, until: timestamp });

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
  revision: z.number().int().min(0),
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
});
export type PlanRecord = z.infer<typeof planRecordSchema>;

export const NEW_PLAN_RECORD: PlanRecord = {
  schemaVersion: PLAN_RECORD_VERSION,
  id: PLAN_RECORD_ID,
  revision: 0,
  hours: USUAL_HOURS,
  exceptions: [],
  busy: [],
  pins: [],
  waits: [],
  alarmMinutes: null,
  last: [],
  forecasts: [],
  weeks: [],
};

/** The record with a change in it, counted. */
export const changedRecord = (
  record: PlanRecord,
  change: Partial<Omit<PlanRecord, 'id' | 'schemaVersion' | 'revision'>>,
): PlanRecord => ({ ...record, ...change, revision: record.revision + 1 });

/** Two descendants of one record; lists merge item by item, single values hold where `mine` changed them. */
export function mergeRecords(
  base: PlanRecord | null,
  mine: PlanRecord,
  theirs: PlanRecord,
): PlanRecord {
  const from = base ?? NEW_PLAN_RECORD;
  const pick = <K extends keyof PlanRecord>(key: K): PlanRecord[K] =>
    JSON.stringify(mine[key]) === JSON.stringify(from[key]) ? theirs[key] : mine[key];
  return {
    ...mine,
    hours: pick('hours'),
    alarmMinutes: pick('alarmMinutes'),
    exceptions: mergeList(from.exceptions, mine.exceptions, theirs.exceptions),
    busy: mergeList(from.busy, mine.busy, theirs.busy),
    pins: mergeList(from.pins, mine.pins, theirs.pins),
    waits: mergeList(from.waits, mine.waits, theirs.waits),
    last: pick('last'),
    forecasts: mergeList(from.forecasts, mine.forecasts, theirs.forecasts),
    weeks: mergeList(from.weeks, mine.weeks, theirs.weeks),
    revision: Math.max(mine.revision, theirs.revision) + 1,
  };
}
