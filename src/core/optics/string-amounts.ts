import { STUDIO_HANDBOOK } from '../handbook';
import type { Recipe, TubePart } from '../film';
import { paintNeeded, type Losses } from '../quantity/paint-needed';
import type { Swatches } from './composition';
import { opticalPaint } from './tubes';
import type { Mix, StringStep } from './strings';

/** A mix of the cabinet as a mix of light: every tube by its solids and its swatches. */
export const opticalMix = (mix: readonly TubePart[], swatches: Swatches): Mix =>
  mix.map((part) => ({ paint: opticalPaint(part, swatches), parts: part.parts }));

const keyOf = (part: TubePart): string =>
  'own' in part ? `own:${part.own.id}` : `${part.pigment}|${part.binder}`;

export interface TubeAmount {
  part: TubePart;
  name: string;
  /** Share of the step, %. */
  parts: number;
  ml: number;
}

/** Less of a tube than this share of a step cannot be measured out; it is nothing. */
const LEAST_SHARE = 0.0005;

/** The tubes of one step: shares of the mixes by volume, each mix by its own parts. In parts of a hundred. */
export function mixOfStep(
  mixes: readonly (readonly TubePart[])[],
  shares: readonly number[],
): TubePart[] {
  const out = new Map<string, TubePart>();
  mixes.forEach((mix, k) => {
    const total = mix.reduce((sum, p) => sum + p.parts, 0);
    for (const part of mix) {
      const share = ((shares[k] ?? 0) * part.parts) / total;
      if (share < LEAST_SHARE) continue;
      const known = out.get(keyOf(part))?.parts ?? 0;
      out.set(keyOf(part), { ...part, parts: Number((known + 100 * share).toPrecision(4)) });
    }
  });
  return [...out.values()];
}

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
