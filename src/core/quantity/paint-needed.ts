import { CoreError } from '../errors';
import {
  composition,
  ingredientFigures,
  tubePaint,
  wetMixture,
  type MediumPart,
  type Recipe,
  type TubePart,
} from '../film';
import type { Handbook } from '../handbook';
import { capOf } from './medium-for';

/** Wet mixture and its parts for one coat of an area. */
export interface PaintNeeded {
  areaCm2: number;
  /** What stays on the picture. */
  dryMl: number;
  /** To mix, tooth of the canvas and waste included. */
  wetMl: number;
  wetThicknessUm: number;
  cm2PerMl: number;
  paintMl: number;
  mediumMl: number;
  tubes: { part: TubePart; key: string; ml: number; g: number }[];
  ingredients: { part: MediumPart; ml: number; g: number }[];
  cap: ReturnType<typeof capOf>;
}

export interface Losses {
  /** Tooth of the support: 1 on a smooth panel, 1.2 to 1.6 on canvas. */
  canvasFactor: number;
  /** What stays on palette and brush: 1.15 to 1.35. */
  wasteFactor: number;
}

/** cm2 that one ml covers at a wet thickness. 1 ml at 75 um is 133 cm2. */
export const cm2PerMl = (wetThicknessUm: number): number => 10_000 / wetThicknessUm;

/** Density of a tube as squeezed out, g/ml. */
function tubeDensity(handbook: Handbook, part: TubePart): number {
  const wet = wetMixture(handbook, { mix: [part], medium: [], mediumShare: 0 });
  const { dryDensityGPerMl, volumeSolids, volatileFraction } = composition(handbook, wet);
  // Only acrylic tubes hold anything volatile: water.
  return dryDensityGPerMl * volumeSolids + volatileFraction;
}

/**
 * How much to mix for a coat: area x dry thickness / volume solids, times the tooth of the canvas and the waste.
 * @param areaCm2 above 0. Throws `area-range`, and `mix-empty` when nothing would stay.
 * @example 4800 cm2 at 75 um, solids 0.8515, factors 1.25 and 1.20: 63.4 ml
 */
export function paintNeeded(
  handbook: Handbook,
  recipe: Recipe,
  areaCm2: number,
  { canvasFactor, wasteFactor }: Losses,
): PaintNeeded {
  if (!(areaCm2 > 0)) throw new CoreError('area-range', 'areaCm2', 'The area must be above 0 cm².');
  if (!(canvasFactor >= 1 && wasteFactor >= 1))
    throw new CoreError('target-range', 'losses', 'Factors for canvas and waste are 1 or more.');
  const figures = composition(handbook, wetMixture(handbook, recipe));
  const dryMl = areaCm2 * recipe.thicknessUm * 1e-4;
  const wetMl = (dryMl / figures.volumeSolids) * canvasFactor * wasteFactor;
  const wetThicknessUm = recipe.thicknessUm / figures.volumeSolids;
  const paintMl = wetMl * (1 - recipe.mediumShare);
  const mediumMl = wetMl * recipe.mediumShare;
  const mixTotal = recipe.mix.reduce((s, p) => s + p.parts, 0) || 1;
  const mediumTotal = recipe.medium.reduce((s, p) => s + p.parts, 0) || 1;
  return {
    areaCm2,
    dryMl,
    wetMl,
    wetThicknessUm,
    cm2PerMl: cm2PerMl(wetThicknessUm),
    paintMl,
    mediumMl,
    tubes: recipe.mix.map((part) => {
      const ml = (paintMl * part.parts) / mixTotal;
      return {
        part,
        key: tubePaint(handbook, part).key,
        ml,
        g: ml * tubeDensity(handbook, part),
      };
    }),
    ingredients: recipe.medium.map((part) => {
      const ml = (mediumMl * part.parts) / mediumTotal;
      return { part, ml, g: ml * ingredientFigures(part).densityGPerMl };
    }),
    cap: capOf(handbook, recipe.mediumShare),
  };
}

/** A whole tube: how far it goes, without waste, at a dry thickness; and its mass. */
export function tubeCover(
  handbook: Handbook,
  part: TubePart,
  tubeMl: number,
  dryThicknessUm: number,
): { areaCm2: number; g: number } {
  const wet = wetMixture(handbook, { mix: [part], medium: [], mediumShare: 0 });
  const { volumeSolids } = composition(handbook, wet);
  return {
    areaCm2: (tubeMl * volumeSolids * 10_000) / dryThicknessUm,
    g: tubeMl * tubeDensity(handbook, part),
  };
}
