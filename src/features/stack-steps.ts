import type { SiteStack } from '@/core/painting';
import type { SchoolKey } from '@/core/schools';
import { letOff } from '@/core/tell/let-off';
import { filmStep } from '@/features/film-view';
import type { FilmStep } from '@/ui/film/step';

/** All films of a place as they are drawn, the planned ones too, with what the school lets off. */
export const stackSteps = (stack: SiteStack, school: SchoolKey): FilmStep[] =>
  stack.layers.map((layer) => ({ ...filmStep(layer, school), letOff: letOff(layer, school) }));
