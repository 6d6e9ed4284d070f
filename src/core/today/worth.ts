import { LEARNING } from '@/data/learning';
import type { Learned } from '../learn';
import { sameSpot } from '../painting/sites';
import { touchWorth } from '../learn/worth';
import type { TodayRow } from '.';

export interface WorthRow {
  row: TodayRow;
  /** 0 to 1. */
  worth: number;
}

/** The last touch of what lies on top there, ms; null where it was not touched since it was laid. */
function lastTouchMs({ painting, passage, spotName, top }: TodayRow): number | null {
  const laidAtMs = top?.film.laidAtMs ?? Infinity;
  // Not by way of `touch.ts`: what notes a touch need not come with Today.
  const touches = painting.events.flatMap((e) =>
    e.kind === 'touched' &&
    e.passageId === passage.id &&
    sameSpot(e.spotName, spotName) &&
    !e.setAside &&
    Date.parse(e.at) >= laidAtMs
      ? [Date.parse(e.at)]
      : [],
  );
  return touches.length === 0 ? null : Math.max(...touches);
}

/** A finger that was there just now finds the same. */
function justTouched(row: TodayRow, nowMs: number): boolean {
  const last = lastTouchMs(row);
  const clock = row.top?.clock;
  return (
    last !== null &&
    clock !== undefined &&
    clock !== null &&
    clock.doseAt(nowMs) < LEARNING.touchAgainFrom * clock.doseAt(last)
  );
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
      if (justTouched(row, nowMs)) return [];
      const worth = touchWorth(learned, top.features, top.times, top.clock.doseAt(nowMs));
      return worth >= LEARNING.leastWorth ? [{ row, worth }] : [];
    })
    .sort((a, b) => b.worth - a.worth);
