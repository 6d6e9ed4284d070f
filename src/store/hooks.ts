import { useEffect, useMemo, useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { followedAir, HOUR_MS, type AirRecord, type FollowedAir } from '@/core/climate';
import type { Climate } from '@/core/drying';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { type AssessOptions, type Painting, type PaintingAssessment } from '@/core/painting';
import type { SolveRequest } from '@/workers/protocol';
import { assessAll, assessOne } from './assess-all';
import { nowMs } from './clock';
import { paintingSelectors } from './paintings';
import type { Dispatch, State } from './store';

export const useStoreDispatch = () => useDispatch<Dispatch>();
export const useStoreSelector = <T>(select: (state: State) => T): T => useSelector(select);

const MINUTE_MS = 60_000;

/** The present, to the minute: drying does not move faster. */
export function useNow(): number {
  const [now, setNow] = useState(nowMs);
  useEffect(() => {
    const timer = setInterval(() => setNow(nowMs()), MINUTE_MS / 2);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** Readings older than this say nothing of what dries now. */
const FOLLOWED_DAYS = 400;
const HOURS_PER_DAY = 24;

/** The air of the studio over time, as plain data; null where it is always the same. */
export function useAirRecord(): AirRecord | null {
  const { climate, dayNight, followReadings } = useStoreSelector((state) => state.studio);
  const months = useStoreSelector((state) => state.climate);
  return useMemo(() => {
    const all = followReadings ? Object.values(months).flatMap((month) => month?.hours ?? []) : [];
    if (all.length === 0 && !dayNight) return null;
    const hours = all.sort((a, b) => a[0] - b[0]);
    const from = (hours.at(-1)?.[0] ?? 0) - FOLLOWED_DAYS * HOURS_PER_DAY;
    return {
      climate,
      dayNight,
      hours: hours.filter((h) => h[0] >= from),
      utcOffsetHours: -new Date(nowMs()).getTimezoneOffset() / 60,
    };
  }, [climate, dayNight, followReadings, months]);
}

export function useAir(): FollowedAir | null {
  const record = useAirRecord();
  return useMemo(() => record && followedAir(STUDIO_HANDBOOK.constants, record), [record]);
}

/** The air at a moment: the last hours' where it is followed, else what is stated. */
export function climateAt(stated: Climate, air: FollowedAir | null, ms: number): Climate {
  if (!air) return stated;
  const { temperatureC, relativeHumidityPct } = air.timeline.at(Math.floor(ms / HOUR_MS));
  return { ...stated, temperatureC, relativeHumidityPct };
}

/** What a worker needs to see the same air and the same learning. */
export function useSolverAir(now: number): Pick<SolveRequest, 'climate' | 'air' | 'learned'> {
  const { climate } = useAssessOptions(now);
  const air = useAirRecord();
  const learned = useStoreSelector((state) => state.learned.learned);
  return useMemo(() => ({ climate, air, learned }), [climate, air, learned]);
}

export const useAssessOptions = (now: number): AssessOptions => {
  const stated = useStoreSelector((state) => state.studio.climate);
  const learned = useStoreSelector((state) => state.learned.learned);
  const air = useAir();
  return useMemo(
    () => ({
      handbook: STUDIO_HANDBOOK,
      climate: climateAt(stated, air, now),
      ...(air ? { air } : {}),
      learned,
      nowMs: now,
    }),
    [stated, air, learned, now],
  );
};

export const usePainting = (id: string): Painting | undefined =>
  useStoreSelector((state) => state.paintings.entities[id]);

/** All paintings, in the order of the wall. */
export function usePaintings(): Painting[] {
  const entities = useStoreSelector((state) => state.paintings);
  const order = useStoreSelector((state) => state.studio.paintingOrder);
  return useMemo(() => {
    const place = new Map(order.map((id, i) => [id, i]));
    return paintingSelectors
      .selectAll(entities)
      .sort(
        (a, b) =>
          (place.get(a.id) ?? Infinity) - (place.get(b.id) ?? Infinity) ||
          a.createdAt.localeCompare(b.createdAt),
      );
  }, [entities, order]);
}

export function useAssessment(
  painting: Painting | undefined,
  now: number,
): PaintingAssessment | null {
  const options = useAssessOptions(now);
  return useMemo(() => (painting ? assessOne(painting, options) : null), [painting, options]);
}

export function useAssessments(paintings: Painting[], now: number): PaintingAssessment[] {
  const options = useAssessOptions(now);
  return useMemo(() => assessAll(paintings, options), [paintings, options]);
}
