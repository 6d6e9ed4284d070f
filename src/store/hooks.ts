import { useEffect, useMemo, useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import {
  assessPainting,
  type AssessOptions,
  type Painting,
  type PaintingAssessment,
} from '@/core/painting';
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

export const useAssessOptions = (now: number): AssessOptions => {
  const climate = useStoreSelector((state) => state.studio.climate);
  return useMemo(() => ({ handbook: STUDIO_HANDBOOK, climate, nowMs: now }), [climate, now]);
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
  return useMemo(() => (painting ? assessPainting(painting, options) : null), [painting, options]);
}

export function useAssessments(paintings: Painting[], now: number): PaintingAssessment[] {
  const options = useAssessOptions(now);
  return useMemo(() => paintings.map((p) => assessPainting(p, options)), [paintings, options]);
}
