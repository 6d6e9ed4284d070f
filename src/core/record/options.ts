import type { StudioAir } from '../drying';
import type { Handbook } from '../handbook';
import type { Swatches } from '../optics/composition';
import type { Painting } from '../painting/schema';
import { laidEvents } from '../painting/sites';

/** With what a record is made. */
export interface RecordOptions {
  handbook: Handbook;
  swatches: Swatches;
  air: StudioAir;
  nowMs: number;
  /** A day as the reader writes it. */
  day(ms: number): string;
  /** Pictures to put in, oldest first. */
  photos?: readonly { id: string; takenAt: string }[];
}

/** Passages by their names; all of them in a word. */
export const namesOf = (painting: Painting, ids: readonly string[]): string =>
  ids.length === painting.passages.length && ids.length > 1
    ? 'all'
    : ids.map((id) => painting.passages.find((p) => p.id === id)?.name ?? id).join(', ');

/** First and last day that something was laid; null for a bare ground. */
export function madeBetween(painting: Painting): { fromMs: number; toMs: number } | null {
  const times = laidEvents(painting).map((e) => Date.parse(e.at));
  return times.length === 0 ? null : { fromMs: Math.min(...times), toMs: Math.max(...times) };
}
