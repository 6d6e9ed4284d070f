import { createSelector, lruMemoize } from '@reduxjs/toolkit';
import { followedAir, HOUR_MS, type AirRecord, type FollowedAir } from '@/core/climate';
import type { Climate } from '@/core/drying';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import type { AssessOptions, Painting, PaintingAssessment } from '@/core/painting';
import { today } from '@/core/today';
import type { SolveRequest } from '@/workers/protocol';
import { assessAll, assessOne } from './assess-all';
import { nowMs } from './clock';
import { paintingSelectors } from './paintings';
import type { State } from './store';

/**
 * What follows from what is kept, worked out once for all screens. Each is made anew only when something it is made
 * from has changed.
 */

export const selectNow = (state: State): number => state.present.nowMs;
const selectStudio = (state: State) => state.studio;
const selectStatedClimate = (state: State) => state.studio.climate;
export const selectLearned = (state: State) => state.learned.learned;

/** Readings older than this say nothing of what dries now. */
const FOLLOWED_DAYS = 400;
const HOURS_PER_DAY = 24;
const MINUTES_PER_HOUR = 60;

/** The air of the studio over time, as plain data; null where it is always the same. */
export const selectAirRecord = createSelector(
  [
    selectStatedClimate,
    (state: State) => state.studio.dayNight,
    (state: State) => state.studio.followReadings,
    (state: State) => state.climate,
  ],
  (climate, dayNight, followReadings, months): AirRecord | null => {
    const all = followReadings ? Object.values(months).flatMap((month) => month?.hours ?? []) : [];
    if (all.length === 0 && !dayNight) return null;
    const hours = all.sort((a, b) => a[0] - b[0]);
    const from = (hours.at(-1)?.[0] ?? 0) - FOLLOWED_DAYS * HOURS_PER_DAY;
    return {
      climate,
      dayNight,
      hours: hours.filter((h) => h[0] >= from),
      utcOffsetHours: -new Date(nowMs()).getTimezoneOffset() / MINUTES_PER_HOUR,
    };
  },
);

export const selectAir = createSelector(
  [selectAirRecord],
  (record) => record && followedAir(STUDIO_HANDBOOK.constants, record),
);

/** The air at a moment: the last hours' where it is followed, else what is stated. */
function climateAt(stated: Climate, air: FollowedAir | null, ms: number): Climate {
  if (!air) return stated;
  const { temperatureC, relativeHumidityPct } = air.timeline.at(Math.floor(ms / HOUR_MS));
  return { ...stated, temperatureC, relativeHumidityPct };
}

/** With what every film is judged now. */
export const selectOptions = createSelector(
  [selectStatedClimate, selectAir, selectLearned, selectNow],
  (stated, air, learned, now): AssessOptions => ({
    handbook: STUDIO_HANDBOOK,
    climate: climateAt(stated, air, now),
    ...(air ? { air } : {}),
    learned,
    nowMs: now,
  }),
);

const selectClimateNow = createSelector([selectOptions], ({ climate }) => climate, {
  // The same figures are the same air, however often it was looked at.
  memoizeOptions: {
    resultEqualityCheck: (a: Climate, b: Climate) =>
      a.temperatureC === b.temperatureC &&
      a.relativeHumidityPct === b.relativeHumidityPct &&
      a.light === b.light,
  },
  memoize: lruMemoize,
});

/** What a worker needs to see the same air and the same learning. */
export const selectSolverAir = createSelector(
  [selectClimateNow, selectAirRecord, selectLearned],
  (climate, air, learned): Pick<SolveRequest, 'climate' | 'air' | 'learned'> => ({
    climate,
    air,
    learned,
  }),
);

/** All paintings, in the order of the wall. */
export const selectPaintings = createSelector(
  [(state: State) => state.paintings, (state: State) => selectStudio(state).paintingOrder],
  (paintings, order): Painting[] => {
    const place = new Map(order.map((id, i) => [id, i]));
    return paintingSelectors
      .selectAll(paintings)
      .sort(
        (a, b) =>
          (place.get(a.id) ?? Infinity) - (place.get(b.id) ?? Infinity) ||
          a.createdAt.localeCompare(b.createdAt),
      );
  },
);

export const selectPainting = (state: State, id: string): Painting | undefined =>
  state.paintings.entities[id];

/** One painting as it is judged now; null where it is not there. Kept per painting (assess-all.ts). */
export const selectAssessment = (state: State, id: string): PaintingAssessment | null => {
  const painting = selectPainting(state, id);
  return painting ? assessOne(painting, selectOptions(state)) : null;
};

export const selectAssessments = createSelector([selectPaintings, selectOptions], assessAll);

/** The rows of Today. */
export const selectToday = createSelector([selectAssessments, selectNow], today);

/** The rows of all films that can be touched: of pictures that rest or are finished too, but not of those that are gone. */
export const selectTouchable = createSelector([selectAssessments, selectNow], (all, now) =>
  today(all, now, ({ easel }) => easel?.kind !== 'gone'),
);
