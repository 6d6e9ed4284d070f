import { LEFT_FRACTION } from '@/data/applications';
import type { AbsorbingSurface } from '@/data/grounds';
import {
  addConstituents,
  groundLossFraction,
  isAcrylic,
  isPassedOver,
  scaleConstituents,
  thicknessOf,
  type Constituents,
} from '../film';
import type { Handbook } from '../handbook';
import type { Coat, CoatRole, HowReduced, Overrule, FilmEvent } from './schema';
import type { SiteEvent } from './sites';
import { isCouch } from './vocabulary';

const NONE_OVERRULED: Overrule[] = [];

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
  /** Of the couch that the rest went into, as it lay; 0 without one. */
  couchUm: number;
  /** What the painter overruled for the coats in it. */
  overruled: Overrule[];
}

/** A painter names a couch and the paint in it by the paint. */
const mergedName = (lower: Film, name: string, role: CoatRole): Pick<Film, 'name' | 'role'> => {
  if (isCouch(lower.role)) return { name, role };
  if (isCouch(role) || lower.name === name) return { name: lower.name, role: lower.role };
  return { name: `${lower.name} + ${name.charAt(0).toLowerCase()}${name.slice(1)}`, role };
};

/**
 * A stack of films as a chain from the top down. Never changed, so that passages which share their first
 * coats share the chain, and what was reckoned for it.
 */
export interface Stack {
  film: Film;
  below: Stack | null;
}

function surfaceFor(
  top: Stack | null,
  ground: AbsorbingSurface,
  film: Constituents,
): AbsorbingSurface | null {
  // A drawing or a varnish drinks nothing: the ground below does.
  let node = top;
  while (node && isPassedOver(node.film.asLaid)) node = node.below;
  if (!node) return ground;
  // Acrylic paint is a ground to the first oil on it.
  return isAcrylic(node.film.asLaid) && !isAcrylic(film) ? 'acrylic' : null;
}

interface Laying {
  key: string;
  coatId: string;
  name: string;
  role: CoatRole;
  film: Constituents;
  laidAtMs: number | null;
  intoWet: boolean;
  overruled: Overrule[];
}

/** Put a coat on a stack: as a film of its own, or into the top film, which then starts again. */
function lay(
  handbook: Handbook,
  stack: Stack | null,
  ground: AbsorbingSurface,
  laying: Laying,
): Stack {
  const top = stack?.film;
  const merges =
    laying.intoWet &&
    top !== undefined &&
    // Pastel, tempera or varnish never becomes one film with paint.
    top.asLaid.material === null &&
    laying.film.material === null &&
    isAcrylic(top.asLaid) === isAcrylic(laying.film);
  const asLaid = merges ? addConstituents(top.asLaid, laying.film) : laying.film;
  const surface = merges ? top.surface : surfaceFor(stack, ground, laying.film);
  const named = merges ? mergedName(top, laying.name, laying.role) : laying;
  const film: Film = {
    key: merges ? top.key : laying.key,
    name: named.name,
    role: named.role,
    coatIds: merges ? [...top.coatIds, laying.coatId] : [laying.coatId],
    planned: laying.laidAtMs === null,
    laidAtMs: laying.laidAtMs,
    asLaid,
    thicknessAsLaidUm: thicknessOf(asLaid),
    surface,
    lossFraction: surface ? groundLossFraction(handbook, asLaid, surface) : 0,
    reductions: merges ? top.reductions : [],
    paintedOut: false,
    merged: merges,
    couchUm: !merges ? 0 : isCouch(top.role) ? top.thicknessAsLaidUm : top.couchUm,
    overruled: merges ? [...top.overruled, ...laying.overruled] : laying.overruled,
  };
  return { film, below: merges ? stack!.below : stack };
}

/**
 * Take a fraction of the top film away. What is left keeps its clock and its share of loss to the ground; wiped clean,
 * the film is there no longer.
 */
function reduceTop(
  { film: top, below }: Stack,
  event: Extract<FilmEvent, { kind: 'reduced' }>,
): Stack | null {
  const left = LEFT_FRACTION[event.left].value;
  if (left === 0) return below;
  const asLaid = left === 1 ? top.asLaid : scaleConstituents(top.asLaid, left);
  return {
    film: {
      ...top,
      asLaid,
      thicknessAsLaidUm: thicknessOf(asLaid),
      reductions: [...top.reductions, { how: event.how, atMs: Date.parse(event.at) }],
      paintedOut: top.paintedOut || event.how === 'painted-out',
    },
    below,
  };
}

/** A stack after some of the entries, and the stacks that further entries make of it. */
interface Step {
  stack: Stack | null;
  next: Map<string, Step> | null;
}

export interface StackBuilder {
  /**
   * Reduce what the painter did at one site to the films that are there, then put the planned coats on.
   * Sites that begin with the same entries get the same chain of films.
   * @param events as they bear on this site, in the order they happened
   * @param planned coats of this site still to come, in the order of the plan
   */
  stackOf(events: SiteEvent[], planned: Coat[]): Stack | null;
}

/** Another part of a coat goes on beside this one while it is open: it is one film with it, whose clock starts again. */
function keepOpen(stack: Stack, event: Extract<SiteEvent, { kind: 'laid' }>): Stack {
  const { film, below } = stack;
  if (film.coatIds.at(-1) !== event.coatId) return stack;
  return { film: { ...film, laidAtMs: Date.parse(event.at) }, below };
}

/**
 * @param bottom the film that was there before the painter began (an oil ground), or null
 * @param keys by which entry each film is known (`filmKeys`)
 */
export function stackBuilder(
  handbook: Handbook,
  ground: AbsorbingSurface,
  bottom: Film | null,
  keys: Map<string, string>,
  filmOf: (recipe: Coat['recipe']) => Constituents,
): StackBuilder {
  const bare: Stack | null = bottom && { film: bottom, below: null };
  const root: Step = { stack: bare, next: null };

  const after = (step: Step, id: string, change: (stack: Stack | null) => Stack | null): Step => {
    const known = step.next?.get(id);
    if (known) return known;
    const made: Step = { stack: change(step.stack), next: null };
    step.next ??= new Map();
    step.next.set(id, made);
    return made;
  };

  const happened = (stack: Stack | null, event: SiteEvent): Stack | null => {
    if (event.kind === 'reduced') return stack === bare || !stack ? stack : reduceTop(stack, event);
    if (event.beside) return stack && keepOpen(stack, event);
    return lay(handbook, stack, ground, {
      key: keys.get(event.id) ?? event.id,
      coatId: event.coatId,
      name: event.name,
      role: event.role,
      film: filmOf(event.recipe),
      laidAtMs: Date.parse(event.at),
      intoWet: event.intoWet && stack !== bare,
      overruled: event.overruled ?? NONE_OVERRULED,
    });
  };

  const meant = (stack: Stack | null, coat: Coat): Stack =>
    lay(handbook, stack, ground, {
      key: coat.id,
      coatId: coat.id,
      name: coat.name,
      role: coat.role,
      film: filmOf(coat.recipe),
      laidAtMs: null,
      // A planned coat merges with the planned coat it is meant to go into; a laid film stays as it is.
      intoWet: coat.onto === 'wet' && stack !== null && stack.film.planned,
      overruled: coat.overruled ?? NONE_OVERRULED,
    });

  return {
    stackOf(events, planned) {
      let step = root;
      for (const event of events)
        step = after(step, event.beside ? `${event.id}+` : event.id, (s) => happened(s, event));
      for (const coat of planned) step = after(step, `plan:${coat.id}`, (s) => meant(s, coat));
      return step.stack;
    },
  };
}

/** The films of a stack, the lowest first. */
export function filmsOf(stack: Stack | null): Stack[] {
  const films: Stack[] = [];
  for (let node = stack; node; node = node.below) films.push(node);
  return films.reverse();
}
