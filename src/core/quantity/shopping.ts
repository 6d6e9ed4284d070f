import type { CabinetPaint } from '../cabinet/schema';
import { asTube } from '../cabinet/paints';
import type { Handbook } from '../handbook';
import { tubePaint, type MediumPart, type TubePart } from '../film';
import { CLOTH, unlaidPassages, type Coat, type Painting } from '../painting';
import { minorOf, partOf, USUAL_DIGITS } from '../costs/money';
import { toLayCm2 } from '../session/pace';
import { paintNeeded, type Losses, type PaintNeeded } from './paint-needed';

/** Panels are smooth; cloth takes more. */
export const lossesOf = (handbook: Handbook, painting: Painting): Losses => ({
  canvasFactor: CLOTH.has(painting.support.kind) ? handbook.constants.canvasFactor : 1,
  wasteFactor: handbook.constants.wasteFactor,
});

export interface CoatNeed {
  coatId: string;
  name: string;
  passageIds: string[];
  needed: PaintNeeded;
}

/** What every coat still to be laid takes; coats that are no paint, and laid ones, take nothing. */
export function needsOf(
  handbook: Handbook,
  painting: Painting,
  losses: Losses = lossesOf(handbook, painting),
  wanted: (coat: Coat, passageId: string) => boolean = () => true,
): CoatNeed[] {
  return painting.coats.flatMap((coat): CoatNeed[] => {
    if (coat.recipe.material !== undefined) return [];
    const passageIds = unlaidPassages(painting, coat).filter((id) => wanted(coat, id));
    const area = toLayCm2(painting, coat, passageIds);
    if (!(area > 0)) return [];
    const needed = paintNeeded(handbook, coat.recipe, area, losses);
    return [{ coatId: coat.id, name: coat.name, passageIds, needed }];
  });
}

/** One paint of the list: what is asked of it, what the cabinet has, what is missing. */
export interface ShoppingLine {
  part: TubePart;
  key: string;
  ml: number;
  g: number;
  /** Null where the cabinet has no such paint. */
  paint: CabinetPaint | null;
  haveMl: number;
  missingMl: number;
  /** Whole tubes to buy, of the size in the cabinet, else 37 ml. */
  tubesToBuy: number;
  tubeMl: number;
  /** Price of the paint used up, in the smallest coin; null where no price is known. */
  costMinor: number | null;
}

export interface ShoppingList {
  lines: ShoppingLine[];
  ingredients: { part: MediumPart; ml: number; g: number }[];
  /** Of all lines with a price. */
  costMinor: number;
  /** Some paint has no price: the cost is a part of the whole. */
  costIncomplete: boolean;
}

/** The usual small studio tube, ml. */
const USUAL_TUBE_ML = 37;

/** A paint of the cabinet that can stand for a tube of a recipe: the same one, or the same single pigment in the same binder. */
export function stockOf(paints: readonly CabinetPaint[], part: TubePart): CabinetPaint | null {
  if ('own' in part) return paints.find((p) => p.id === part.own.id) ?? null;
  return (
    paints.find(
      (p) =>
        !p.archived &&
        p.pigments.length === 1 &&
        p.pigments[0]!.pigment === part.pigment &&
        p.binder === part.binder,
    ) ?? null
  );
}

/**
 * Everything some coats take, by paint and by ingredient, against what the cabinet has.
 * @param digits decimal places of the currency
 */
export function shoppingList(
  handbook: Handbook,
  needs: CoatNeed[],
  paints: CabinetPaint[],
  digits = USUAL_DIGITS,
): ShoppingList {
  const tubes = new Map<
    string,
    { part: TubePart; ml: number; g: number; paint: CabinetPaint | null }
  >();
  const ingredients = new Map<string, { part: MediumPart; ml: number; g: number }>();
  for (const { needed } of needs) {
    for (const { part, ml, g } of needed.tubes) {
      const paint = stockOf(paints, part);
      // A tube of the table and the same paint of the cabinet are one line.
      const key = tubePaint(handbook, paint ? { own: asTube(paint) } : part).key;
      const line = tubes.get(key) ?? { part, ml: 0, g: 0, paint };
      tubes.set(key, { ...line, ml: line.ml + ml, g: line.g + g });
    }
    for (const { part, ml, g } of needed.ingredients) {
      const key = `${part.ingredient}|${part.solidsWtPct ?? ''}`;
      const line = ingredients.get(key) ?? { part, ml: 0, g: 0 };
      ingredients.set(key, { ...line, ml: line.ml + ml, g: line.g + g });
    }
  }
  const lines = [...tubes].map(([key, { part, ml, g, paint }]): ShoppingLine => {
    const tubeMl = paint?.tubeMl ?? USUAL_TUBE_ML;
    const haveMl = paint ? paint.tubeMl * paint.left : 0;
    const missingMl = Math.max(0, ml - haveMl);
    return {
      part,
      key,
      ml,
      g,
      paint,
      haveMl,
      missingMl,
      tubesToBuy: Math.ceil(missingMl / tubeMl - 1e-9),
      tubeMl,
      costMinor:
        paint === null || paint.price === null
          ? null
          : partOf(minorOf(paint.price, digits), ml / paint.tubeMl),
    };
  });
  return {
    lines: lines.sort((a, b) => b.missingMl - a.missingMl || b.ml - a.ml),
    ingredients: [...ingredients.values()].sort((a, b) => b.ml - a.ml),
    costMinor: lines.reduce((s, l) => s + (l.costMinor ?? 0), 0),
    costIncomplete: lines.some((l) => l.costMinor === null),
  };
}
