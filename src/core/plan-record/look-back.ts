import { PLAN_ODDS } from '@/data/plan';
import type { Painting } from '../painting/schema';
import type { Session } from '../session/schema';
import { workedMinutes } from '../session/time';
import { mondayOf, momentOf, nextDay } from '../schedule/calendar';
import type { Odds } from '../schedule/odds';
import { changedRecord } from './record';
import type { PlanForecast, PlanRecord, PlanWeek } from './schema';
import type { Plan } from '../schedule/result';
import { stepIdOf, type Step } from '../schedule/steps';

/** How the plan's own forecasts have held. */
export interface Score {
  /** Said with nine chances in ten, and held; the same at even odds. */
  nineInTen: { said: number; held: number };
  evenOdds: { said: number; held: number };
}

/** When a step was laid: with the last of its passages; null while it is not. */
function laidAtMs(painting: Painting | undefined, stepId: string): number | null {
  const [, coatId, passageId] = stepId.split('/');
  const coat = painting?.coats.find((c) => c.id === coatId);
  if (!painting || !coat) return null;
  const wanted = passageId === undefined ? coat.passageIds : [passageId];
  const times = wanted.map(
    (id) =>
      painting.events
        .filter((e) => e.kind === 'laid' && e.coatId === coatId && e.passageIds.includes(id))
        .map((e) => Date.parse(e.at))
        .sort((a, b) => a - b)[0],
  );
  return times.every((t) => t !== undefined) ? Math.max(...(times as number[])) : null;
}

const exists = (paintings: Record<string, Painting | undefined>, stepId: string): boolean => {
  const [paintingId, coatId] = stepId.split('/');
  return paintings[paintingId!]?.coats.some((c) => c.id === coatId) ?? false;
};

/** Days end in the evening: a coat laid on the day itself was laid in time. */
const END_OF_DAY_MS = 24 * 3_600_000;

/**
 * Past forecasts against what came: a forecast counts once its day is over or its coat is laid. Coats that were taken
 * out of the plan count for nothing.
 */
export function scoreOf(
  forecasts: PlanForecast[],
  paintings: Record<string, Painting | undefined>,
  nowMs: number,
): Score {
  const score: Score = { nineInTen: { said: 0, held: 0 }, evenOdds: { said: 0, held: 0 } };
  for (const forecast of forecasts) {
    if (!exists(paintings, forecast.step)) continue;
    const laid = laidAtMs(paintings[forecast.step.split('/')[0]!], forecast.step);
    const count = (by: string, into: { said: number; held: number }) => {
      const until = Date.parse(by) + END_OF_DAY_MS;
      if (laid === null && nowMs <= until) return;
      into.said += 1;
      if (laid !== null && laid <= until) into.held += 1;
    };
    count(forecast.p90, score.nineInTen);
    count(forecast.p50, score.evenOdds);
  }
  return score;
}

/**
 * What the plan says now, kept for later judgement: each step once a week, and the works of the week when it begins.
 * The same record when there is nothing new to keep.
 */
export function keepForecasts(
  record: PlanRecord,
  plan: Plan,
  odds: Odds,
  steps: Step[],
  nowMs: number,
  timeZone: string,
): PlanRecord {
  const monday = mondayOf(nowMs, timeZone);
  const byWork = new Map(odds.works.map((w) => [w.id, w]));
  const known = new Set(record.forecasts.map((f) => f.id));
  const until = nowMs + PLAN_ODDS.saidAheadDays * END_OF_DAY_MS;
  const made = steps.flatMap((step): PlanForecast[] => {
    const id = `${monday}/${step.id}`;
    const said = byWork.get(step.workIds.at(-1)!);
    if (!said || known.has(id) || !(said.p90Ms < until)) return [];
    const iso = (ms: number) => new Date(ms).toISOString();
    return [{ id, step: step.id, madeAt: iso(nowMs), p50: iso(said.p50Ms), p90: iso(said.p90Ms) }];
  });
  const week = record.weeks.find((w) => w.id === monday);
  const sunday = momentOf(nextDay(monday, 7), 0, timeZone);
  const minutes = new Map<string, number>();
  for (const session of plan.sessions)
    for (const w of session.works)
      if (w.startMs < sunday) {
        const step = stepIdOf(w.id);
        minutes.set(step, (minutes.get(step) ?? 0) + (w.endMs - w.startMs) / 60_000);
      }
  const planned = [...minutes].map(([step, m]) => ({ step, minutes: m }));
  const fresh = week === undefined || week.planned.length === 0;
  if (made.length === 0 && !(fresh && planned.length > 0)) return record;
  return changedRecord(record, {
    forecasts: [...record.forecasts, ...made].slice(-5000),
    weeks: fresh
      ? [
          ...record.weeks.filter((w) => w.id !== monday),
          { id: monday, goal: week?.goal ?? '', planned },
        ]
      : record.weeks,
  });
}

/** Keep in words what is meant for a week. @param monday its first day, local */
export const setWeekGoal = (record: PlanRecord, monday: string, goal: string): PlanRecord => {
  const week = record.weeks.find((w) => w.id === monday) ?? { id: monday, goal: '', planned: [] };
  return changedRecord(record, {
    weeks: [...record.weeks.filter((w) => w.id !== monday), { ...week, goal }],
  });
};

/** A week as it was meant and as it went. */
export interface WeekLook {
  week: PlanWeek;
  plannedMinutes: number;
  workedMinutes: number;
  plannedSteps: number;
  /** Of those planned, laid by the end of the week. */
  doneSteps: number;
}

/** Weeks with anything meant or done in them, the newest first. */
export function weeksOf(
  record: PlanRecord,
  paintings: Record<string, Painting | undefined>,
  sessions: Session[],
  nowMs: number,
  timeZone: string,
): WeekLook[] {
  return [...record.weeks]
    .sort((a, b) => b.id.localeCompare(a.id))
    .map((week): WeekLook => {
      const fromMs = momentOf(week.id, 0, timeZone);
      const toMs = momentOf(nextDay(week.id, 7), 0, timeZone);
      const inWeek = sessions.filter((s) => {
        const at = Date.parse(s.startedAt);
        return at >= fromMs && at < toMs;
      });
      return {
        week,
        plannedMinutes: week.planned.reduce((sum, p) => sum + p.minutes, 0),
        workedMinutes: inWeek.reduce(
          (sum, s) => sum + s.works.reduce((m, w) => m + workedMinutes(w, nowMs), 0),
          0,
        ),
        plannedSteps: week.planned.length,
        doneSteps: week.planned.filter(({ step }) => {
          const at = laidAtMs(paintings[step.split('/')[0]!], step);
          return at !== null && at < toMs;
        }).length,
      };
    });
}
