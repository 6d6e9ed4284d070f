import {
  colourIndexOf,
  hazardOf,
  pigmentRow,
  type CabinetMedium,
  type CabinetPaint,
} from '@/core/cabinet';
import { paintSpeed } from '@/core/drying';
import { asTube } from '@/core/cabinet';
import { composition, tubeConstituents, type Composition } from '@/core/film';
import { STUDIO_HANDBOOK } from '@/core/handbook';

/** How the paints of the cabinet are put in order. */
export const ORDERS = ['name', 'left', 'fat', 'fast'] as const;
export type Order = (typeof ORDERS)[number];
export const ORDER_NAMES: Record<Order, string> = {
  name: 'by name',
  left: 'least left first',
  fat: 'fattest first',
  fast: 'fastest first',
};

/** What is reckoned of a paint as it comes out of the tube. */
export interface PaintFigures {
  composition: Composition;
  /** Touch-dry of 50 um at 20 C, days. */
  touchDays: number;
}

export function paintFigures(paint: CabinetPaint): PaintFigures {
  const tube = tubeConstituents(STUDIO_HANDBOOK, { own: asTube(paint) }, 1);
  return {
    composition: composition(STUDIO_HANDBOOK, tube),
    touchDays:
      tube.acrylic > 0
        ? STUDIO_HANDBOOK.constants.acrylicTouchDays
        : paintSpeed(STUDIO_HANDBOOK, tube).intrinsicTouchDays,
  };
}

const wordsOf = (paint: CabinetPaint): string =>
  [
    paint.name,
    colourIndexOf(paint),
    paint.binder,
    ...hazardOf(paint).metals,
    ...paint.pigments.map((p) => pigmentRow(p.pigment)?.name ?? ''),
  ]
    .join(' ')
    .toLowerCase();

const COMPARE: Record<Order, (a: CabinetPaint, b: CabinetPaint) => number> = {
  name: (a, b) => a.name.localeCompare(b.name),
  left: (a, b) => a.left * a.tubeMl - b.left * b.tubeMl,
  fat: (a, b) => paintFigures(b).composition.fatness - paintFigures(a).composition.fatness,
  fast: (a, b) => paintFigures(a).touchDays - paintFigures(b).touchDays,
};

/** Paints found by what was typed, in order; archived ones only when asked for. */
export const foundPaints = (
  paints: CabinetPaint[],
  search: string,
  order: Order,
  archived: boolean,
): CabinetPaint[] =>
  paints
    .filter((p) => p.archived === archived && wordsOf(p).includes(search.trim().toLowerCase()))
    .sort((a, b) => COMPARE[order](a, b) || a.name.localeCompare(b.name));

export const foundMediums = (
  mediums: CabinetMedium[],
  search: string,
  archived: boolean,
): CabinetMedium[] =>
  mediums
    .filter(
      (m) =>
        m.archived === archived &&
        `${m.name} ${m.parts.map((p) => p.ingredient).join(' ')}`
          .toLowerCase()
          .includes(search.trim().toLowerCase()),
    )
    .sort((a, b) => a.name.localeCompare(b.name));
