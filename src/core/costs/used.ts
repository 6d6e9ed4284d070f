import type { CabinetPaint } from '../cabinet/schema';
import type { Handbook } from '../handbook';
import type { LaidEvent, Painting } from '../painting/schema';
import { laidEvents } from '../painting/sites';
import { laidCm2 } from '../session/pace';
import { lossesOf, stockOf } from '../quantity/shopping';
import { paintNeeded } from '../quantity/paint-needed';
import { rememberLast } from '../remember';
import { minorOf, partOf, USUAL_DIGITS } from './money';

/** What an entry took of one tube. */
interface Taken {
  at: string;
  part: Parameters<typeof stockOf>[1];
  key: string;
  ml: number;
}

/** What every entry of a painting took, waste and tooth of the canvas included. Materials that are no paint take nothing. */
const takenBy = rememberLast('taken by coats', (painting: Painting, handbook: Handbook): Taken[] =>
  laidEvents(painting).flatMap((event: LaidEvent): Taken[] => {
    if (event.recipe.material !== undefined) return [];
    const area = laidCm2(painting, event);
    if (!(area > 0)) return [];
    return paintNeeded(handbook, event.recipe, area, lossesOf(handbook, painting)).tubes.map(
      ({ part, key, ml }) => ({ at: event.at, part, key, ml }),
    );
  }),
);

export interface PaintUsed {
  key: string;
  part: Taken['part'];
  paint: CabinetPaint | null;
  ml: number;
  /** Null where the cabinet has no such paint, or no price of it. */
  minor: number | null;
}

/** The paint that lies on a picture and went with it, by tube, with its cost at the cabinet's prices. */
export function paintUsed(
  painting: Painting,
  handbook: Handbook,
  paints: readonly CabinetPaint[],
  digits = USUAL_DIGITS,
): PaintUsed[] {
  const lines = new Map<string, PaintUsed>();
  for (const { part, key, ml } of takenBy(painting, handbook)) {
    const paint = stockOf(paints, part);
    const line = lines.get(paint?.id ?? key) ?? { key, part, paint, ml: 0, minor: null };
    lines.set(paint?.id ?? key, { ...line, ml: line.ml + ml });
  }
  return [...lines.values()]
    .map((line) => ({
      ...line,
      minor:
        line.paint === null || line.paint.price === null
          ? null
          : partOf(minorOf(line.paint.price, digits), line.ml / line.paint.tubeMl),
    }))
    .sort((a, b) => (b.minor ?? 0) - (a.minor ?? 0) || b.ml - a.ml);
}

/** What is left of a paint of the cabinet now, ml: what was seen, less what was laid since. */
export interface TubeLeft {
  ml: number;
  /** Laid since it was seen, ml. */
  usedMl: number;
}

/** How far each tube has run down, by id of the paint. Tubes of which nobody said when they were looked at stay as said. */
export function tubesLeft(
  paintings: readonly Painting[],
  handbook: Handbook,
  paints: readonly CabinetPaint[],
): Map<string, TubeLeft> {
  const used = new Map<string, number>();
  for (const painting of paintings)
    for (const { at, part, ml } of takenBy(painting, handbook)) {
      const paint = stockOf(paints, part);
      if (paint?.leftAt !== undefined && at > paint.leftAt)
        used.set(paint.id, (used.get(paint.id) ?? 0) + ml);
    }
  return new Map(
    paints.map((p) => {
      const usedMl = used.get(p.id) ?? 0;
      return [p.id, { ml: Math.max(0, p.left * p.tubeMl - usedMl), usedMl }];
    }),
  );
}

/** The paints with what is left of them now: what a shopping list is held against. */
export const runDown = (
  paintings: readonly Painting[],
  handbook: Handbook,
  paints: readonly CabinetPaint[],
): CabinetPaint[] => {
  const left = tubesLeft(paintings, handbook, paints);
  return paints.map((p) => ({ ...p, left: left.get(p.id)!.ml / p.tubeMl }));
};
