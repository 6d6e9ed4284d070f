import type { CabinetBrush } from '../cabinet/brush-schema';
import type { Session } from '../session/schema';
import { minutesOfAll } from '../session/time';

export interface BrushLife {
  brush: CabinetBrush;
  /** Hours in the hand since it was new: its share of the hours at the easel. */
  hours: number;
  /** Hours of its best that are left; null where nobody said how long that is. */
  leftHours: number | null;
}

/** How far the brushes have gone, those that are over their best first. */
export const brushLives = (
  brushes: readonly CabinetBrush[],
  sessions: readonly Session[],
  nowMs: number,
): BrushLife[] =>
  brushes
    .filter((b) => b.retiredAt === null)
    .map((brush) => {
      const hours =
        (minutesOfAll(sessions, Date.parse(brush.newAt), nowMs) / 60) * (brush.usePct / 100);
      return {
        brush,
        hours,
        leftHours: brush.bestHours === null ? null : brush.bestHours - hours,
      };
    })
    .sort((a, b) => (a.leftHours ?? Infinity) - (b.leftHours ?? Infinity));

/** The finest brush that is in use, mm; null where the cabinet has none. */
export const finestMm = (brushes: readonly CabinetBrush[]): number | null =>
  brushes.reduce<number | null>(
    (least, b) =>
      b.retiredAt === null && b.shape !== 'knife' && (least === null || b.widthMm < least)
        ? b.widthMm
        : least,
    null,
  );
