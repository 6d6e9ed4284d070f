import { constantAir, paintSpeed, type PaintSpeed } from '../drying';
import { composition, filmOfRecipe, type Composition, type Constituents } from '../film';
import type { Handbook } from '../handbook';
import { judgeSite, traitsOf, type Traits } from '../rules';
import { groundFilm, groundReadyAtMs, surfaceOf } from './ground';
import { remember } from '../remember';
import type { AssessOptions } from './layer';
import { stackBuilder, type StackBuilder } from './reduce';
import type { Coat, Painting } from './schema';
import { filmKeys } from './sites';

/** What one assessment shares between passages: the same film of the same coat is reckoned once. */
export interface Context extends Required<AssessOptions>, Omit<Reckoned, 'filmOf' | 'stacksOf'> {
  painting: Painting;
  /** Whether the air changes with time, so that its means have to be asked for. */
  varying: boolean;
  stacks: StackBuilder;
  groundReadyAtMs: number | null;
  coats: Map<string, Coat>;
}

interface Reckoned {
  filmOf: (recipe: Coat['recipe']) => Constituents;
  stacksOf: (painting: Painting) => StackBuilder;
  compositionOf: (c: Constituents) => Composition;
  speedOf: (c: Constituents) => PaintSpeed;
  traitsOf: (c: Constituents) => Traits;
}

/**
 * What follows from a recipe alone is reckoned once as long as the recipe lives: recipes and mixtures are never
 * changed, only replaced, so a painting that is looked at every minute pays for its coats once.
 */
const reckonedBy = remember('reckoned', (handbook: Handbook): Reckoned => {
  const filmOf = remember('film', (recipe: Coat['recipe']) => filmOfRecipe(handbook, recipe));
  return {
    filmOf,
    // What lies where is a matter of the entries alone: neither the time nor the climate nor any test changes it.
    stacksOf: remember('stacks', (painting: Painting) =>
      stackBuilder(
        handbook,
        surfaceOf(painting.ground),
        groundFilm(painting.ground),
        filmKeys(painting.events),
        filmOf,
      ),
    ),
    compositionOf: remember('composition', (c: Constituents) => composition(handbook, c)),
    speedOf: remember('speed', (c: Constituents) => paintSpeed(handbook, c)),
    traitsOf: remember('traits', traitsOf),
  };
});

/** What all layers of a painting share while it is judged, worked out once. */
export function contextOf(
  painting: Painting,
  { handbook, climate, air, learned = null, nowMs, judge = judgeSite }: AssessOptions,
): Context {
  const { stacksOf, ...reckoned } = reckonedBy(handbook);
  return {
    ...reckoned,
    handbook,
    climate,
    air: air ?? constantAir(handbook.constants, climate),
    varying: air !== undefined,
    learned,
    nowMs,
    judge,
    painting,
    stacks: stacksOf(painting),
    groundReadyAtMs: groundReadyAtMs(handbook, painting.ground, climate.relativeHumidityPct),
    coats: new Map(painting.coats.map((coat) => [coat.id, coat])),
  };
}
