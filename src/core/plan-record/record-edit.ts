import { changedRecord } from './record';
import type { BusyCalendar, PlanRecord } from './schema';

/** Put works where the painter wants them. A pin takes back what was said of not before. */
export function pinWorks(record: PlanRecord, places: Record<string, number>): PlanRecord {
  const ids = Object.keys(places);
  return changedRecord(record, {
    pins: [
      ...record.pins.filter((p) => !ids.includes(p.id)),
      ...ids.map((work) => ({ id: work, at: new Date(places[work]!).toISOString() })),
    ],
    waits: record.waits.filter((w) => !ids.includes(w.id)),
  });
}

/** Let works move again that were put at a moment. */
export const unpinWorks = (record: PlanRecord, ids: string[]): PlanRecord =>
  changedRecord(record, { pins: record.pins.filter((p) => !ids.includes(p.id)) });

/** Not before a moment: works lose their pins. */
export function waitUntil(record: PlanRecord, ids: string[], untilMs: number): PlanRecord {
  const until = new Date(untilMs).toISOString();
  return changedRecord(record, {
    pins: record.pins.filter((p) => !ids.includes(p.id)),
    waits: [
      ...record.waits.filter((w) => !ids.includes(w.id)),
      ...ids.map((work) => ({ id: work, until })),
    ],
  });
}

/** Let works be begun again that were to wait until a moment. */
export const letGo = (record: PlanRecord, ids: string[]): PlanRecord =>
  changedRecord(record, { waits: record.waits.filter((w) => !ids.includes(w.id)) });

/** Times of a calendar file; a file of the same name takes the place of the last. */
export const takeBusy = (record: PlanRecord, calendar: BusyCalendar): PlanRecord =>
  changedRecord(record, {
    busy: [...record.busy.filter((b) => b.id !== calendar.id), calendar],
  });
