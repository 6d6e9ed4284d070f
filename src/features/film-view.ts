import { mixColour } from '@/core/optics';
import {
  nextPlanned,
  stairWidth,
  topLaid,
  type Ground,
  type Layer,
  type Painting,
  type SiteStack,
  type Support,
} from '@/core/painting';
import { MATERIALS, type Material } from '@/data/materials';
import { SCHOOLS, type SchoolKey } from '@/core/schools';
import { isBroken } from '@/core/tell';
import type { FilmState, FilmStep, GroundDrawing } from '@/ui/film/step';

/** Layers and grounds of the core as things to draw. */

const GROUND_COLOUR: Record<Ground['kind'], string> = {
  'acrylic-gesso': '#E3DCCC',
  'chalk-glue': '#EDE6D6',
  'oil-ground': '#E4DAC5',
  'alkyd-ground': '#E4DAC5',
  'old-painting': '#8B7A63',
  bare: '#C9B68F',
};

/** How a ground is drawn: as a layer of its own, as a film among films, or as old paint. */
const GROUND_DRAWN: Record<Ground['kind'], GroundDrawing['kind']> = {
  'acrylic-gesso': 'acrylic-gesso',
  'chalk-glue': 'acrylic-gesso',
  'oil-ground': 'oil-ground',
  'alkyd-ground': 'oil-ground',
  'old-painting': 'old-painting',
  bare: 'acrylic-gesso',
};

export const SUPPORT_NAME: Record<Support['kind'], string> = {
  canvas: 'canvas',
  linen: 'linen',
  'wood-panel': 'wood panel',
  'linen-on-panel': 'linen on panel',
  'fibreboard-panel': 'fibreboard panel',
  'metal-panel': 'metal panel',
};

export function groundName(ground: Ground): string {
  switch (ground.kind) {
    case 'acrylic-gesso':
      return `acrylic gesso, ${ground.coats} ${ground.coats === 1 ? 'coat' : 'coats'}`;
    case 'chalk-glue':
      return `chalk-glue, ${ground.coats} ${ground.coats === 1 ? 'coat' : 'coats'}`;
    case 'oil-ground':
      return ground.white === undefined ? 'oil ground' : `oil ground, ${ground.white} white`;
    case 'alkyd-ground':
      return 'alkyd ground';
    case 'bare':
      return ground.size === 'none' ? 'bare' : `${ground.size} size only`;
    case 'old-painting':
      return 'old oil painting';
  }
}

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
  colour: GROUND_COLOUR[painting.ground.kind],
  thicknessUm: 0,
  support: painting.support.kind,
});

/** How stuff that is no mixed paint is drawn; estimates for telling it apart. */
const MATERIAL_COLOUR: Record<Material['family'], string> = {
  drawing: '#4A4845',
  seal: '#D8CBA4',
  aqueous: '#CDBF98',
  pastel: '#B9796A',
  varnish: '#E4CF9D',
  wax: '#E2D9BE',
  household: '#C9C6BF',
  dispersion: '#E3DCCC',
};

export function filmStep(layer: Layer, school: SchoolKey): FilmStep {
  const measure = stairWidth(layer, school);
  return {
    key: layer.film.key,
    name: layer.film.name,
    // Linseed yellows an oil ground; titanium alone would be colder than any primed linen.
    colour:
      layer.film.coatIds.length === 0
        ? GROUND_COLOUR['oil-ground']
        : layer.kept.material !== null
          ? MATERIAL_COLOUR[MATERIALS[layer.kept.material].family]
          : mixColour(layer.kept.pigments),
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
export function coreSteps(stack: SiteStack, school: SchoolKey): FilmStep[] {
  const laid = stack.layers.filter((l) => !l.planned);
  const next = nextPlanned(stack);
  const shown = laid.some((l) => l.film.coatIds.length > 0) || !next ? laid : [...laid, next];
  return shown.map((layer) => filmStep(layer, school));
}

export function stackState(stack: SiteStack): FilmState {
  const top = topLaid(stack);
  return top && top.film.coatIds.length > 0 ? top.state : 'planned';
}
