import {
  dryingClock,
  dryingTimes,
  dryingWindows,
  dryState,
  paintSpeed,
  type Below,
  type PaintSpeed,
} from '../drying';
import {
  addConstituents,
  afterGroundLoss,
  composition,
  dryVolume,
  filmOfRecipe,
  isAcrylic,
  type Composition,
  type Constituents,
} from '../film';
import { filmLimits } from '../schools';
import { groundFilms, groundReadyAtMs, surfaceOf } from './ground';
import type { AssessOptions, Layer, PaintingAssessment, SiteStack } from './layer';
import { coverOf, GROUND_COVER, pairOf } from './pair';
import { reduceToFilms, type Film } from './reduce';
import type { Coat, Painting } from './schema';
import { eventsAt, inTimeOrder, plannedAt, sitesOf, type Site } from './sites';

interface Context extends AssessOptions {
  painting: Painting;
  /** Work shared between passages: the same film of the same coat is reckoned once. */
  filmOf: (recipe: Coat['recipe']) => Constituents;
  compositionOf: (c: Constituents) => Composition;
  speedOf: (c: Constituents) => PaintSpeed;
  coats: Map<string, Coat>;
}

function layerOf(context: Context, film: Film, below: Layer[], coveredAtMs: number | null): Layer {
  const { handbook, climate, nowMs } = context;
  const lower = below.at(-1);
  // A couch planned with the paint that goes into it is one film: it waits as the couch does.
  const onto = film.planned
    ? (context.coats.get(film.coatIds[0] ?? '')?.onto ?? 'touch-dry')
    : null;
  const cover = lower ? coverOf(context, lower, film, onto) : GROUND_COVER;
  const intoOpen =
    film.planned &&
    onto === 'wet' &&
    lower !== undefined &&
    !lower.planned &&
    lower.state === 'open';
  // Into an open film: the two become one, with one clock, and that is what the next coat is compared with.
  const asLaid = intoOpen ? addConstituents(lower.film.asLaid, film.asLaid) : film.asLaid;
  const under: Below = {
    surface: film.surface,
    cure: lower && !film.surface && !intoOpen ? cover.cure : 1,
  };
  const times = dryingTimes(
    handbook,
    asLaid,
    dryVolume(asLaid),
    under,
    climate,
    context.speedOf(asLaid),
  );
  const own = afterGroundLoss(film.asLaid, film.lossFraction);
  const kept = intoOpen ? addConstituents(lower.kept, own) : own;
  const clock =
    film.laidAtMs === null
      ? null
      : dryingClock(handbook.constants, times.kind, climate, film.laidAtMs, coveredAtMs);
  // What the painter added is a matter of the recipe, whatever the ground drank of it.
  const figures =
    kept === asLaid
      ? context.compositionOf(kept)
      : {
          ...context.compositionOf(kept),
          addedOilRatio: context.compositionOf(asLaid).addedOilRatio,
        };
  const thicknessUm = dryVolume(own);
  const layer: Layer = {
    film,
    planned: film.planned,
    onto,
    kept,
    composition: figures,
    thicknessUm,
    times,
    judged: {
      composition: figures,
      tubes: kept.tubes,
      thicknessUm,
      times,
      acrylic: isAcrylic(kept),
    },
    windows: clock ? dryingWindows(handbook.constants, times, clock) : null,
    state: clock ? dryState(handbook.constants, times, clock.doseAt(nowMs)) : 'planned',
    coveredAtMs,
    limits: [],
    pair: null,
  };
  layer.limits = filmLimits(handbook, layer.judged);
  layer.pair = pairOf(
    context,
    context.painting.ground.kind === 'old-painting',
    below,
    layer,
    cover,
  );
  return layer;
}

function assessSite(context: Context, ordered: Painting['events'], site: Site): SiteStack {
  const { painting, handbook, filmOf } = context;
  const films = reduceToFilms(
    handbook,
    surfaceOf(painting.ground),
    groundFilms(painting.ground),
    eventsAt(ordered, site),
    plannedAt(painting, site),
    filmOf,
  );
  const layers: Layer[] = [];
  films.forEach((film, i) => {
    layers.push(layerOf(context, film, layers, films[i + 1]?.laidAtMs ?? null));
  });
  return { site, layers };
}

const memoized = <K extends object, V>(compute: (key: K) => V): ((key: K) => V) => {
  const cache = new Map<K, V>();
  return (key) => {
    const known = cache.get(key);
    if (known !== undefined) return known;
    const value = compute(key);
    cache.set(key, value);
    return value;
  };
};

function contextOf(painting: Painting, { handbook, climate, nowMs }: AssessOptions): Context {
  return {
    handbook,
    climate,
    nowMs,
    painting,
    filmOf: memoized((recipe) => filmOfRecipe(handbook, recipe)),
    compositionOf: memoized((c) => composition(handbook, c)),
    speedOf: memoized((c) => paintSpeed(handbook, c)),
    coats: new Map(painting.coats.map((coat) => [coat.id, coat])),
  };
}

/**
 * Everything that can be said of a painting at one moment: the films of every passage and spot, their
 * figures, state and windows, and the verdict of every school on every pair.
 *
 * Pure: `nowMs` (ms since the epoch) and the climate are arguments. Linear in coats x passages.
 */
export function assessPainting(painting: Painting, options: AssessOptions): PaintingAssessment {
  const context = contextOf(painting, options);
  const ordered = inTimeOrder(painting.events);
  return {
    painting,
    groundReadyAtMs: groundReadyAtMs(options.handbook, painting.ground),
    passages: painting.passages.map((passage) => {
      const [base, ...spots] = sitesOf(painting, passage.id, ordered).map((site) =>
        assessSite(context, ordered, site),
      );
      return { passage, base: base!, spots };
    }),
  };
}
