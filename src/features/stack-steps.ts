import type { Swatches } from '@/core/optics/composition';
import type { Painting, SiteStack } from '@/core/painting';
import { stackLook } from '@/core/painting/look';
import { letOff } from '@/core/tell/let-off';
import { filmStep } from '@/features/film-view';
import type { FilmStep } from '@/ui/film/step';

/** All films of a place as they are drawn, the planned ones too, with what the school lets off. */
export function stackSteps(stack: SiteStack, painting: Painting, swatches: Swatches): FilmStep[] {
  const look = stackLook(stack, painting, swatches);
  const { school } = painting;
  return stack.layers.map((layer) => ({
    ...filmStep(layer, school, look),
    letOff: letOff(layer, school),
  }));
}
