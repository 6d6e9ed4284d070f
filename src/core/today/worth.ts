import { LEARNING } from '@/data/learning';
import type { Learned } from '../learn';
import { touchWorth } from '../learn/worth';
import type { TodayRow } from './today';

export interface WorthRow {
  row: TodayRow;
  /** 0 to 1. */
  worth: number;
}

/**
 * Films that are most worth a touch now, best first: those that may or may not be touch-dry, and share most of
 * their doubt with others.
 */
export const worthATouch = (rows: TodayRow[], learned: Learned | null, nowMs: number): WorthRow[] =>
  rows
    .flatMap((row): WorthRow[] => {
      const { top } = row;
      if (!top?.clock || top.times.kind !== 'oil' || top.state === 'open') return [];
      const worth = touchWorth(learned, top.features, top.times, top.clock.doseAt(nowMs));
      return worth >= LEARNING.leastWorth ? [{ row, worth }] : [];
    })
    .sort((a, b) => b.worth - a.worth);
