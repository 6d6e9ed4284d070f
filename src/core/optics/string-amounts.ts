import { STUDIO_HANDBOOK } from '../handbook';
import { mixOfColours, type Recipe, type TubePart } from '../film';
import { paintNeeded, type Losses } from '../quantity/paint-needed';
import type { Swatches } from './composition';
import { opticalPaint } from './tubes';
import type { Mix, StringStep } from './strings';

/** A mix of the cabinet as a mix of light: every tube by its solids and its swatches. */
export const opticalMix = (mix: readonly TubePart[], swatches: Swatches): Mix =>
  mix.map((part) => ({ paint: opticalPaint(part, swatches), parts: part.parts }));

export interface TubeAmount {
  part: TubePart;
  name: string;
  /** Share of the step, %. */
  parts: number;
  ml: number;
}

/** Fewer parts of a hundred than these cannot be measured out; they are nothing. */
const LEAST_PARTS = 0.05;

/** The tubes of one step: shares of the mixes by volume, each mix by its own parts. In parts of a hundred. */
export const mixOfStep = (
  mixes: readonly (readonly TubePart[])[],
  shares: readonly number[],
): TubePart[] =>
  mixOfColours(mixes.map((mix, k) => ({ mix: [...mix], share: shares[k] ?? 0 })))
    .filter(({ parts }) => parts >= LEAST_PARTS)
    .map((part) => ({ ...part, parts: Number(part.parts.toPrecision(4)) }));

/**
 * ml of every tube for every step of a string, each step laid on its part of the area.
 * @param areaCm2 of all steps together; `share` of a step where they are not alike
 */
export function amountsOfString(
  mixes: readonly (readonly TubePart[])[],
  steps: readonly Pick<StringStep, 'shares'>[],
  { areaCm2, um, losses }: { areaCm2: number; um: number; losses?: Losses },
): TubeAmount[][] {
  const { canvasFactor, wasteFactor } = STUDIO_HANDBOOK.constants;
  return steps.map(({ shares }) => {
    const mix = mixOfStep(mixes, shares);
    const recipe: Recipe = { mix, medium: [], mediumShare: 0, thicknessUm: um };
    const needed = paintNeeded(
      STUDIO_HANDBOOK,
      recipe,
      areaCm2 / steps.length,
      losses ?? { canvasFactor, wasteFactor },
    );
    return needed.tubes.map(({ part, key, ml }) => ({ part, name: key, parts: part.parts, ml }));
  });
}
