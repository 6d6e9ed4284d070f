import { LEFT_FRACTION } from '@/data/applications';
import type { AbsorbingSurface } from '@/data/grounds';
import {
  addConstituents,
  dryVolume,
  filmOfRecipe,
  groundLossFraction,
  isAcrylic,
  scaleConstituents,
  type Constituents,
} from '../film';
import type { Handbook } from '../handbook';
import type { Coat, CoatRole, HowReduced, PaintingEvent } from './schema';

/**
 * A film: what is there, after coats were merged and removed. Coats are what the painter did.
 * Volumes are um (volume per unit area) as laid, before any ground drank of them.
 */
export interface Film {
  key: string;
  name: string;
  role: CoatRole;
  coatIds: string[];
  planned: boolean;
  /** Start of its clock: the last time paint was laid into it. Null while planned. */
  laidAtMs: number | null;
  asLaid: Constituents;
  /** Dry thickness as laid: what its drying time depends on. */
  thicknessAsLaidUm: number;
  /** The surface below that drinks oil when this is the first film on it, else null. */
  surface: AbsorbingSurface | null;
  /** Share of its drying oil that the ground took. */
  lossFraction: number;
  /** Removals since it was laid. */
  reductions: { how: HowReduced; atMs: number }[];
  paintedOut: boolean;
  /** More than one coat, wet into wet. */
  merged: boolean;
}

/** A painter names a couch and the paint in it by the paint. */
const isCouch = (role: CoatRole): boolean => role === 'oiling-out';
const mergedName = (lower: Film, name: string, role: CoatRole): Pick<Film, 'name' | 'role'> => {
  if (isCouch(lower.role)) return { name, role };
  if (isCouch(role) || lower.name === name) return { name: lower.name, role: lower.role };
  return { name: `${lower.name} + ${name.charAt(0).toLowerCase()}${name.slice(1)}`, role };
};

function surfaceFor(
  films: Film[],
  ground: AbsorbingSurface,
  film: Constituents,
): AbsorbingSurface | null {
  const below = films.at(-1);
  if (!below) return ground;
  // Acrylic paint is a ground to the first oil on it.
  return isAcrylic(below.asLaid) && !isAcrylic(film) ? 'acrylic' : null;
}

interface Laying {
  key: string;
  coatId: string;
  name: string;
  role: CoatRole;
  film: Constituents;
  laidAtMs: number | null;
  intoWet: boolean;
}

/** Put a coat on a stack: as a film of its own, or into the top film, which then starts again. */
function lay(handbook: Handbook, films: Film[], ground: AbsorbingSurface, laying: Laying): void {
  const top = films.at(-1);
  const merges =
    laying.intoWet && top !== undefined && isAcrylic(top.asLaid) === isAcrylic(laying.film);
  const asLaid = merges ? addConstituents(top.asLaid, laying.film) : laying.film;
  const surface = merges ? top.surface : surfaceFor(films, ground, laying.film);
  const named = merges ? mergedName(top, laying.name, laying.role) : laying;
  const film: Film = {
    key: merges ? top.key : laying.key,
    name: named.name,
    role: named.role,
    coatIds: merges ? [...top.coatIds, laying.coatId] : [laying.coatId],
    planned: laying.laidAtMs === null,
    laidAtMs: laying.laidAtMs,
    asLaid,
    thicknessAsLaidUm: dryVolume(asLaid),
    surface,
    lossFraction: surface ? groundLossFraction(handbook, asLaid, surface) : 0,
    reductions: merges ? top.reductions : [],
    paintedOut: false,
    merged: merges,
  };
  if (merges) films[films.length - 1] = film;
  else films.push(film);
}

/** Take a fraction of the top film away. What is left keeps its clock and its share of loss to the ground. */
function reduceTop(films: Film[], event: Extract<PaintingEvent, { kind: 'reduced' }>): void {
  const top = films.at(-1);
  if (!top) return;
  const left = LEFT_FRACTION[event.left].value;
  const asLaid = left === 1 ? top.asLaid : scaleConstituents(top.asLaid, left);
  films[films.length - 1] = {
    ...top,
    asLaid,
    thicknessAsLaidUm: dryVolume(asLaid),
    reductions: [...top.reductions, { how: event.how, atMs: Date.parse(event.at) }],
    paintedOut: top.paintedOut || event.how === 'painted-out',
  };
}

/**
 * Reduce what the painter did at one site to the films that are there, then put the planned coats on.
 * @param events of this site, in the order they happened
 * @param planned coats of this site still to come, in the order of the plan
 * @param bottom films that were there before the painter began (an oil ground)
 */
export function reduceToFilms(
  handbook: Handbook,
  ground: AbsorbingSurface,
  bottom: Film[],
  events: PaintingEvent[],
  planned: Coat[],
  filmOf: (recipe: Coat['recipe']) => Constituents = (recipe) => filmOfRecipe(handbook, recipe),
): Film[] {
  const films = [...bottom];
  for (const event of events) {
    const bare = films.length === bottom.length;
    if (event.kind === 'reduced') {
      if (!bare) reduceTop(films, event);
      continue;
    }
    lay(handbook, films, ground, {
      key: event.id,
      coatId: event.coatId,
      name: event.name,
      role: event.role,
      film: filmOf(event.recipe),
      laidAtMs: Date.parse(event.at),
      intoWet: event.intoWet && !bare,
    });
  }
  const laidCount = films.length;
  for (const coat of planned) {
    lay(handbook, films, ground, {
      key: coat.id,
      coatId: coat.id,
      name: coat.name,
      role: coat.role,
      film: filmOf(coat.recipe),
      laidAtMs: null,
      // A planned coat merges with the planned coat it is meant to go into; a laid film stays as it is.
      intoWet: coat.onto === 'wet' && films.length > laidCount,
    });
  }
  return films;
}
