import { createSelector } from '@reduxjs/toolkit';
import type { PlanRecord } from '@/core/plan-record/schema';
import type { WhatIf } from '@/core/schedule/what-if';
import { windowsOf } from '@/core/schedule/hours-of';
import { habitsOf } from '@/core/session/habits';
import { HABITS } from '@/data/habits';
import { PLAN_ODDS } from '@/data/plan';
import type { PlanRequest } from '@/workers/plan-protocol';
import { planRecordOf } from './plan';
import { selectNow, selectPaintings, selectSolverAir } from './select';
import { localZone, selectPace, selectPaceSamples, selectSessions } from './select-work';
import type { State } from './store';

const SLOT_MS = PLAN_ODDS.slotMinutes * 60_000;
const DAY_MS = 86_400_000;
const SEED = 1;
const DRAWS = 10_000;

/** The slot of hours that has begun: within it the plan stays as it is. */
const selectSlotMs = (state: State): number => Math.floor(selectNow(state) / SLOT_MS) * SLOT_MS;

/** What the painter says of the weeks to come; what the plan itself notes there must not set it off anew. */
const selectSaid = createSelector(
  [
    (state: State) => planRecordOf(state).hours,
    (state: State) => planRecordOf(state).exceptions,
    (state: State) => planRecordOf(state).busy,
    (state: State) => planRecordOf(state).pins,
    (state: State) => planRecordOf(state).waits,
    (state: State) => planRecordOf(state).countsHeld,
  ],
  (hours, exceptions, busy, pins, waits, countsHeld) => ({
    hours,
    exceptions,
    busy,
    pins,
    waits,
    countsHeld,
  }),
);

/** Midnight, UTC: what is past of the hours for work is looked at once a day. */
const selectDayMs = (state: State): number => Math.floor(selectNow(state) / DAY_MS) * DAY_MS;

/** What the log says of how surely plans come true. */
export const selectHabits = createSelector(
  [
    selectPaceSamples,
    selectSessions,
    (state: State) => state.paintings.entities,
    (state: State) => planRecordOf(state).hours,
    (state: State) => planRecordOf(state).exceptions,
    (state: State) => planRecordOf(state).busy,
    selectDayMs,
    (state: State) => state.studio.latitudeDeg,
  ],
  (samples, sessions, paintings, hours, exceptions, busy, dayMs, latitudeDeg) => {
    const timeZone = localZone();
    const past = windowsOf(
      { hours, exceptions, busy },
      { nowMs: dayMs - HABITS.lookBackDays * DAY_MS, timeZone, latitudeDeg },
      HABITS.lookBackDays,
    ).filter((w) => w.toMs <= dayMs);
    return habitsOf(samples, sessions, paintings, past, timeZone);
  },
);

/** What a plan is made from, without the record as it is when the plan begins. A new one only when it has changed. */
export const selectPlanInput = createSelector(
  [
    selectPaintings,
    selectSaid,
    selectPace,
    selectHabits,
    selectSolverAir,
    selectSlotMs,
    (state: State) => state.studio.latitudeDeg,
  ],
  (paintings, said, pace, habits, around, nowMs, latitudeDeg) => ({
    paintings,
    said,
    pace,
    habits,
    ...around,
    nowMs,
    latitudeDeg,
  }),
);
export type PlanInput = ReturnType<typeof selectPlanInput>;

/** The request of a plan begun now. */
export const planRequestOf = (
  { said: _said, ...input }: PlanInput,
  record: PlanRecord,
  whatIf: WhatIf[],
): PlanRequest => ({
  ...input,
  record,
  timeZone: localZone(),
  whatIf,
  seed: SEED,
  draws: DRAWS,
  quick: false,
});

/** Plain data as a short number: FNV-1a over its text (Fowler, Noll & Vo; from memory). */
function digest(data: unknown): number {
  let hash = 0x811c9dc5;
  for (const sign of JSON.stringify(data))
    hash = Math.imul(hash ^ sign.codePointAt(0)!, 0x01000193);
  return hash >>> 0;
}

/**
 * Names what a plan was made from, so that a plan that was kept is known again: two inputs of one key give one plan.
 * Documents go in by their revision; the air and what was learned by a digest, as they are long.
 */
export const selectPlanKey = createSelector([selectPlanInput], (input): string =>
  JSON.stringify({
    ...input,
    paintings: input.paintings.map((p) => [p.id, p.revision]),
    air: digest(input.air),
    learned: digest(input.learned),
    timeZone: localZone(),
  }),
);

/** Something is still to be laid, so that there is something to plan. */
export const selectAnythingToPlan = createSelector([selectPaintings], (paintings) =>
  paintings.some((p) => p.coats.length > 0),
);
