import { changed, type Making } from './making';
import type { Easel, Painting } from './schema';

/**
 * Whether a picture is worked on: not resting, finished or gone. One that rests until a day is back on the easel from
 * that day on by itself.
 */
export function isOnEasel({ easel }: Pick<Painting, 'easel'>, nowMs: number): boolean {
  if (!easel) return true;
  return easel.kind === 'resting' && easel.until !== null && Date.parse(easel.until) <= nowMs;
}

/** From when on it is worked on again, ms; null where nobody said, or it is on the easel now. */
export const restsUntilMs = ({ easel }: Pick<Painting, 'easel'>): number | null =>
  easel?.kind === 'resting' && easel.until !== null ? Date.parse(easel.until) : null;

/** Put a picture on the easel (null), to rest, or note that it is finished or gone. Nothing of it is lost. */
export function putOnEasel(
  painting: Painting,
  easel: Easel | null,
  making: Pick<Making, 'now'>,
): Painting {
  const { easel: _was, ...rest } = painting;
  return changed(easel ? { ...rest, easel } : rest, making, {});
}
