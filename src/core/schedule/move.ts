import type { WorkWindow } from './problem';
import type { PlannedSession, PlannedWork } from './result';

/** The window that is the next (1) or the one before (-1) of a moment's; null past either end. */
export function neighbourWindow(
  windows: WorkWindow[],
  atMs: number,
  by: 1 | -1,
): WorkWindow | null {
  if (by === 1) return windows.find((w) => w.fromMs > atMs) ?? null;
  return [...windows].reverse().find((w) => w.toMs <= atMs) ?? null;
}

/** The window nearest to a moment, by the middle; null without any. */
export function nearestWindow(windows: WorkWindow[], atMs: number): WorkWindow | null {
  const distance = (w: WorkWindow) => Math.abs((w.fromMs + w.toMs) / 2 - atMs);
  return windows.reduce<WorkWindow | null>(
    (best, w) => (best === null || distance(w) < distance(best) ? w : best),
    null,
  );
}

/**
 * Where works begin when they are put into a window, one after the other, behind what is pinned there already.
 * Null when they do not fit.
 */
export function placesIn(
  works: Pick<PlannedWork, 'id' | 'startMs' | 'endMs'>[],
  window: WorkWindow,
  sessions: PlannedSession[],
  slotMs: number,
): Record<string, number> | null {
  const moving = new Set(works.map((w) => w.id));
  const held = sessions
    .flatMap((s) => s.works)
    .filter((w) => w.pinned && !moving.has(w.id))
    .filter((w) => w.startMs >= window.fromMs && w.startMs < window.toMs);
  const first = Math.ceil(window.fromMs / slotMs) * slotMs;
  let at = Math.max(first, ...held.map((w) => w.endMs));
  const places: Record<string, number> = {};
  for (const { id, startMs, endMs } of works) {
    if (at + (endMs - startMs) > window.toMs) return null;
    places[id] = at;
    at += endMs - startMs;
  }
  return places;
}
