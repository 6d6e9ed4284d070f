import type { Swatches } from '@/core/optics/composition';
import {
  nextPlanned,
  stairWidth,
  topLaid,
  type Ground,
  type Layer,
  type Painting,
  type SiteStack,
} from '@/core/painting';
import { SUPPORT_NAME } from '@/core/painting/names';
import { groundLook, stackLook, type StackLook } from '@/core/painting/look';
import { SCHOOLS, type SchoolKey } from '@/core/schools';
import { isBroken } from '@/core/tell';
import type { FilmState, FilmStep, GroundDrawing } from '@/ui/film/step';

/** Layers and grounds of the core as things to draw. */

/** How a ground is drawn: as a layer of its own, as a film among films, or as old paint. */
const GROUND_DRAWN: Record<Ground['kind'], GroundDrawing['kind']> = {
  'acrylic-gesso': 'acrylic-gesso',
  'chalk-glue': 'acrylic-gesso',
  'oil-ground': 'oil-ground',
  'alkyd-ground': 'oil-ground',
  'old-painting': 'old-painting',
  bare: 'acrylic-gesso',
};

/** "gesso on linen": what the section writes beside the weave. */
function groundLabel(painting: Painting): string {
  const on = SUPPORT_NAME[painting.support.kind];
  const short = {
    'acrylic-gesso': 'gesso on',
    'chalk-glue': 'chalk on',
    bare: 'bare',
    'oil-ground': 'oil-primed',
    'alkyd-ground': 'alkyd-primed',
    'old-painting': 'old paint on',
  }[painting.ground.kind];
  return `${short} ${on}`;
}

export const groundDrawing = (painting: Painting): GroundDrawing => ({
  kind: GROUND_DRAWN[painting.ground.kind],
  label: groundLabel(painting),
  colour: groundLook(painting).screen.hex,
  thicknessUm: 0,
  support: painting.support.kind,
});

/** A film as it is drawn: in the colour that the place has once it lies there. */
export function filmStep(layer: Layer, school: SchoolKey, look: StackLook): FilmStep {
  const measure = stairWidth(layer, school);
  return {
    key: layer.film.key,
    name: layer.film.name,
    colour: (look.films.get(layer.film.key) ?? look.finished).screen.hex,
    thicknessUm: layer.thicknessUm,
    measure,
    unspoken: measure === null && (layer.judged.acrylic || layer.judged.material !== null),
    figure:
      measure === null
        ? ''
        : SCHOOLS[school].format(measure).replace(' %', '').replace(' d', '').replace(' µm', ''),
    state: layer.state,
    broken: isBroken(layer, school),
  };
}

/** Films that are there, without the plan: the small core. An unpainted passage shows its first planned coat. */
export function coreSteps(stack: SiteStack, painting: Painting, swatches: Swatches): FilmStep[] {
  const look = stackLook(stack, painting, swatches);
  const laid = stack.layers.filter((l) => !l.planned);
  const next = nextPlanned(stack);
  const shown = laid.some((l) => l.film.coatIds.length > 0) || !next ? laid : [...laid, next];
  return shown.map((layer) => filmStep(layer, painting.school, look));
}

export function stackState(stack: SiteStack): FilmState {
  const top = topLaid(stack);
  return top && top.film.coatIds.length > 0 ? top.state : 'planned';
}
