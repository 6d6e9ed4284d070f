import { CLEANING_MINUTES } from '@/data/pace';
import { PLAN_ODDS } from '@/data/plan';
import type { PlanRecord } from '../plan-record/schema';
import { workWindows } from './calendar';
import type { WorkWindow } from './problem';

/** The hours for work that a record says, from a moment on, as far as is planned or for some days. */
export const windowsOf = (
  record: Pick<PlanRecord, 'hours' | 'exceptions' | 'busy'>,
  place: { nowMs: number; timeZone: string; latitudeDeg: number },
  days: number = PLAN_ODDS.horizonDays,
): WorkWindow[] =>
  workWindows({
    hours: record.hours,
    exceptions: record.exceptions,
    busy: record.busy.flatMap(({ times }) =>
      times.map(([from, to]) => ({ fromMs: Date.parse(from), toMs: Date.parse(to) })),
    ),
    timeZone: place.timeZone,
    latitudeDeg: place.latitudeDeg,
    fromMs: place.nowMs,
    days,
    cleaningMinutes: CLEANING_MINUTES,
    leastMinutes: PLAN_ODDS.leastStretchMinutes,
  });
