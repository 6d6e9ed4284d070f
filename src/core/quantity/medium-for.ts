import { CoreError } from '../errors';
import {
  binderVolume,
  composition,
  dryVolume,
  mediumFigures,
  sum,
  wetMixture,
  type MediumPart,
  type Recipe,
} from '../film';
import type { Handbook } from '../handbook';

export type FatnessTarget = { fatness: number } | { reducedPvc: number };

export interface MediumFor {
  /** Volume of medium over volume of the finished mixture. */
  mediumShare: number;
  mlPer10MlPaint: number;
  fatness: number;
  reducedPvc: number | null;
  /** Against the usual cap (a quarter) and the absolute one (a third). */
  cap: 'within' | 'over-quarter' | 'over-third';
}

/** Where a share of medium stands against the caps of a sound film. */
export const capOf = (handbook: Handbook, mediumShare: number): MediumFor['cap'] => {
  const { mediumShareCaution, mediumShareMax } = handbook.constants;
  if (mediumShare <= mediumShareCaution + 1e-9) return 'within';
  return mediumShare <= mediumShareMax + 1e-9 ? 'over-quarter' : 'over-third';
};

const refuse = (message: string): never => {
  throw new CoreError('target-range', 'target', message);
};

/**
 * The share of a medium that brings a mix to a wanted fatness (binder by volume of the dry film) or reduced
 * PVC. Closed form: with p pigment and d dry volume per ml of paint and s per ml of medium,
 * PVC = (1-m) p / ((1-m) d + m s), so m = (p - PVC d) / (p - PVC d + PVC s).
 * Throws `target-range` when the paint is fatter already, or the medium leaves nothing.
 */
export function mediumFor(
  handbook: Handbook,
  mix: Recipe['mix'],
  medium: MediumPart[],
  target: FatnessTarget,
): MediumFor {
  const paint = wetMixture(handbook, { mix, medium: [], mediumShare: 0 });
  const neat = composition(handbook, paint);
  if (neat.cpvc === null)
    return refuse('The mix holds no pigment. Add a paint before asking for its medium.');
  const wanted = 'fatness' in target ? 1 - target.fatness : target.reducedPvc * neat.cpvc;
  if (!(wanted > 0 && wanted < 1))
    return refuse('The fatness must lie between 0 and 100 %. Choose one in between.');
  if (wanted > neat.pvc + 1e-12)
    return refuse(
      `The paint is fatter than that as it comes from the tube (${Math.round(neat.fatness * 100)} %). Medium only makes it fatter.`,
    );
  const s = mediumFigures(medium).solidsVolumeFraction;
  if (s === 0)
    return refuse('This medium leaves nothing in the film. Add an oil or a resin to it.');
  const p = sum(paint.pigments);
  const d = p + binderVolume(paint);
  const over = p - wanted * d;
  const m = Math.max(0, over / (over + wanted * s));
  const figures = composition(handbook, wetMixture(handbook, { mix, medium, mediumShare: m }));
  return {
    mediumShare: m,
    mlPer10MlPaint: (10 * m) / (1 - m),
    fatness: figures.fatness,
    reducedPvc: figures.reducedPvc,
    cap: capOf(handbook, m),
  };
}

/** The share of medium that a number of parts of medium to parts of paint is. */
export const shareOfParts = (mediumParts: number, paintParts: number): number =>
  mediumParts / (mediumParts + paintParts);

/** Dry volume of one ml of a mixture: what thickness and cover are reckoned with. */
export const solidsOf = (handbook: Handbook, recipe: Recipe): number => {
  const wet = wetMixture(handbook, recipe);
  const dry = dryVolume(wet);
  return dry / (dry + wet.volatile);
};
