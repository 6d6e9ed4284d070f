import { MATERIALS } from '@/data/materials';
import { FINISH_OF_MATERIAL, OPTICS, type Finish, type GroundColourKey } from '@/data/optics';
import { STUDIO_HANDBOOK } from '../handbook';
// By their own names, not by the index: every first page pays for this file.
import { labOf, type Lab } from '../optics/colour';
import { overUneven, seenUneven } from '../optics/look';
import { groundSpectrum } from '../optics/pigments';
import { screenColour, type ScreenColour } from '../optics/screen';
import type { Spectrum } from '../optics/spectrum';
import { finishOf, seen } from '../optics/surface';
import {
  filmOfConstituents,
  sourceOf,
  type ColourSource,
  type Swatches,
} from '../optics/composition';
import { rememberLast } from '../remember';
import type { Layer, SiteStack } from './layer';
import type { Ground, Painting } from './schema';
import { isSunk } from './sunk';

/** How a place of the picture looks once a film is on it: the one answer that every screen gives. */
export interface FilmLook {
  /** Reflectance just below the surface: what the next film goes over. */
  inner: Spectrum;
  lab: Lab;
  screen: ScreenColour;
  finish: Finish;
  source: ColourSource;
}

export interface StackLook {
  ground: FilmLook;
  /** By key of the film, the look with everything below it and nothing above. */
  films: Map<string, FilmLook>;
  /** As it stands now: the last film that was laid, or the ground. */
  now: FilmLook;
  /** When all that is planned lies on it. */
  finished: FilmLook;
}

const BARE: Partial<Record<Painting['support']['kind'], GroundColourKey>> = {
  'wood-panel': 'pale-wood',
  'metal-panel': 'metal',
  'fibreboard-panel': 'warm-tone',
};

/** The ground by name, as light sees it. Oil and alkyd grounds are films of their own on the bare support. */
function groundKey(painting: Painting): GroundColourKey {
  const { kind }: Pick<Ground, 'kind'> = painting.ground;
  if (kind === 'acrylic-gesso' || kind === 'chalk-glue' || kind === 'old-painting') return kind;
  return BARE[painting.support.kind] ?? 'linen-sized';
}

const lookOf = (
  inner: Spectrum,
  finish: Finish,
  source: ColourSource,
  lab: Lab = labOf(seen(inner, finish)),
): FilmLook => ({ inner, lab, screen: screenColour(lab), finish, source });

/** The ground as it looks before any paint. */
export const groundLook = (painting: Painting): FilmLook =>
  lookOf(groundSpectrum(groundKey(painting)), 'eggshell', {
    kind: painting.ground.kind === 'old-painting' ? 'guess' : 'estimate',
    at: null,
  });

const WET: ReadonlySet<Layer['state']> = new Set(['open', 'setting']);

/** Surface of a film: wet while it is wet; then by how lean it is. A drawing leaves the surface it lies on. */
function finishOfLayer({ state, kept, composition, film }: Layer, below: Finish): Finish {
  if (kept.material !== null) return FINISH_OF_MATERIAL[MATERIALS[kept.material].family] ?? below;
  if (WET.has(state)) return 'wet';
  const sunk = isSunk({ composition, lossFraction: film.lossFraction }, STUDIO_HANDBOOK.constants);
  return finishOf({ reducedPvc: composition.reducedPvc, sunk });
}

/** One film over what is below, brushed as films are. */
function layerLook(below: FilmLook, layer: Layer, swatches: Swatches): FilmLook {
  const film = filmOfConstituents(layer.kept, swatches);
  const own = sourceOf(layer.kept, swatches);
  const finish = finishOfLayer(layer, below.finish);
  if (!film) return lookOf(below.inner, finish, below.source);
  const inner = overUneven(film, below.inner, OPTICS.cvSoftBrush);
  const seenNow = seenUneven(film, below.inner, finish, OPTICS.cvSoftBrush);
  return lookOf(inner, finish, own, labOf(seenNow));
}

/** What a film of a stack goes over, as it looks. */
export const belowOf = (stack: SiteStack, layer: Layer, look: StackLook): FilmLook => {
  const lower = stack.layers[stack.layers.indexOf(layer) - 1];
  return (lower && look.films.get(lower.film.key)) ?? look.ground;
};

const walk = rememberLast(
  'stack looks',
  (
    stack: SiteStack,
    { painting, swatches }: { painting: Painting; swatches: Swatches },
  ): StackLook => {
    const ground = groundLook(painting);
    const films = new Map<string, FilmLook>();
    let last = ground;
    let now = ground;
    for (const layer of stack.layers) {
      last = layerLook(last, layer, swatches);
      films.set(layer.film.key, last);
      if (!layer.planned) now = last;
    }
    return { ground, films, now, finished: last };
  },
  (a, b) => a.painting === b.painting && a.swatches === b.swatches,
);

/** The colours of a place from the ground up, film by film, by the composition that the film core says. */
export const stackLook = (stack: SiteStack, painting: Painting, swatches: Swatches): StackLook =>
  walk(stack, { painting, swatches });
