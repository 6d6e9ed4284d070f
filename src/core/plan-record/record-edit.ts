import { MOST_TIMES } from './hours';
import { changedRecord } from './record';
import type { BusyCalendar, KeptOut, PlanRecord } from './schema';

/** Put works where the painter wants them. A pin takes back what they were kept out of. */
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

/** The times that a work is kept out of, the last said first. */
export const timesOf = ({
  from,
  until,
  also,
}: KeptOut): { from?: string | undefined; until: string }[] => [{ from, until }, ...(also ?? [])];

/** Works kept out of a time, such as a week, besides those they are kept out of already; they lose their pins. */
export function keepOut(
  record: PlanRecord,
  ids: string[],
  { fromMs, toMs }: { fromMs: number; toMs: number },
): PlanRecord {
  const from = new Date(fromMs).toISOString();
  const until = new Date(toMs).toISOString();
  const kept = (id: string): KeptOut => {
    const before = record.waits.find((w) => w.id === id);
    const others = before
      ? timesOf(before).filter((t) => t.from !== from || t.until !== until)
      : [];
    return {
      id,
      from,
      until,
      // What was said longest ago is the first to be forgotten.
      ...(others.length > 0 ? { also: others.slice(0, MOST_TIMES) } : {}),
    };
  };
  return changedRecord(record, {
    pins: record.pins.filter((p) => !ids.includes(p.id)),
    waits: [...record.waits.filter((w) => !ids.includes(w.id)), ...ids.map(kept)],
  });
}

/** Let works be at any time again that were kept out of one. */
export const letGo = (record: PlanRecord, ids: string[]): PlanRecord =>
  changedRecord(record, { waits: record.waits.filter((w) => !ids.includes(w.id)) });

/** Times of a calendar file; a file of the same name takes the place of the last. */
export const takeBusy = (record: PlanRecord, calendar: BusyCalendar): PlanRecord =>
  changedRecord(record, {
    busy: [...record.busy.filter((b) => b.id !== calendar.id), calendar],
  });
