import { filmOfRecipe, tubeConstituents, wetMixture, type Recipe } from '@/core/film';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { hexOf } from '@/core/optics/screen';
import type { Swatches } from '@/core/optics/composition';
import { masstoneLab, tintLab } from '@/core/optics/masstone';
import { colour } from '@/ui/tokens';
import type { Tube } from '@/core/cabinet/tube-names';

/** Colours of paint as a screen shows them. Paint is data: everything here is worked out by the core. */

const hexOr = (lab: ReturnType<typeof masstoneLab>): string => (lab ? hexOf(lab) : colour.well);

const tubeOf = (tube: Tube) => tubeConstituents(STUDIO_HANDBOOK, tube, 1);

/** A tube squeezed out: opaque. */
export const tubeColour = (tube: Tube, swatches: Swatches): string =>
  hexOr(masstoneLab(tubeOf(tube), swatches));

/** Squeezed out, and one part in nine of white. */
export const tubeColours = (tube: Tube, swatches: Swatches): [masstone: string, tint: string] => [
  tubeColour(tube, swatches),
  hexOr(tintLab(tubeOf(tube), swatches)),
];

/** What a recipe looks like on the palette. */
export const recipeColour = (recipe: Recipe, swatches: Swatches): string =>
  hexOr(masstoneLab(filmOfRecipe(STUDIO_HANDBOOK, recipe), swatches));

/** A mix as it is being typed; null while there is nothing in it. */
export function mixColour(mix: Recipe['mix'], swatches: Swatches): string | null {
  if (mix.every((part) => !(part.parts > 0))) return null;
  const wet = wetMixture(STUDIO_HANDBOOK, {
    mix: mix.filter((part) => part.parts > 0),
    medium: [],
    mediumShare: 0,
  });
  return hexOr(masstoneLab(wet, swatches));
}
