import { PLAN_RECORD_VERSION } from '../editions';
import { mergeList } from '../merge-list';
import { USUAL_HOURS } from './hours';
import type { PlanRecord } from './schema';
export const PLAN_RECORD_ID = 'plan';

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
    countsHeld: pick('countsHeld'),
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
