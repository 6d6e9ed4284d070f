import {
  cureFraction,
  dryingClock,
  dryingTimes,
  dryingWindows,
  dryState,
  paintSpeed,
  quantileOf,
  type Below,
  type Climate,
  type DryingTimes,
  type DryingWindows,
  type DryState,
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
import type { Handbook } from '../handbook';
import {
  filmLimits,
  isThinCouch,
  judgeByAll,
  measureOf,
  type FilmLimit,
  type FilmPair,
  type JudgedFilm,
  type SchoolKey,
  type SchoolVerdict,
} from '../schools';
import { groundFilms, groundReadyAtMs, surfaceOf } from './ground';
import { reduceToFilms, type Film } from './reduce';
import type { Coat, Onto, Painting, Passage } from './schema';
import { eventsAt, inTimeOrder, plannedAt, sitesOf, type Site } from './sites';

/** When a coat may go on, as the plan assumes: with this chance the film below has reached the stage. */
export const PLANNING_QUANTILE = 0.75;
/** The chance that stands behind a deadline. */
export const DEADLINE_QUANTILE = 0.9;

/** How an upper film stands to the one below. */
export interface PairAssessment {
  /** Key of the film it is judged against; null on gesso. Differs from the film just below when a thin dry couch lies between. */
  againstKey: string | null;
  againstName: string;
  lowerTouchDry: boolean;
  lowerThroughDry: boolean;
  /** A couch too thin to be judged lies between the two. */
  overThinCouch: boolean;
  /** Planned into a film that is open now: the two will be one, and nothing is judged between them. */
  intoOpen: boolean;
  /** Planned into the wet, but the film below is open no longer. */
  missedWet: boolean;
  bySchool: Record<SchoolKey, SchoolVerdict>;
}

/** A film with everything that is known of it at one moment. */
export interface Layer {
  film: Film;
  planned: boolean;
  onto: Onto | null;
  /** After ground loss and removals: what the schools judge. */
  kept: Constituents;
  composition: Composition;
  thicknessUm: number;
  times: DryingTimes;
  /** The same as the schools see it. */
  judged: JudgedFilm;
  windows: DryingWindows | null;
  state: DryState | 'planned';
  coveredAtMs: number | null;
  limits: FilmLimit[];
  /** Null for the lowest film on gesso. */
  pair: PairAssessment | null;
}

export interface SiteStack {
  site: Site;
  layers: Layer[];
}

export interface PassageAssessment {
  passage: Passage;
  base: SiteStack;
  spots: SiteStack[];
}

export interface PaintingAssessment {
  painting: Painting;
  groundReadyAtMs: number | null;
  passages: PassageAssessment[];
}

interface Context {
  handbook: Handbook;
  climate: Climate;
  nowMs: number;
  painting: Painting;
  /** Work shared between passages: the same film of the same coat is reckoned once. */
  filmOf: (recipe: Coat['recipe']) => Constituents;
  compositionOf: (c: Constituents) => Composition;
  speedOf: (c: Constituents) => PaintSpeed;
  coats: Map<string, Coat>;
}

const UNKNOWN_FILM: JudgedFilm = {
  composition: null,
  tubes: {},
  thicknessUm: 0,
  times: null,
  acrylic: false,
};

interface Cover {
  cure: number;
  touchDry: boolean;
  throughDry: boolean;
}

/**
 * State of the lower film when the upper goes on. Laid on laid: by its dose at that time. Planned: now if
 * it is already further, else at the planning quantile of the stage that the coat waits for.
 */
function coverOf(context: Context, lower: Layer, upper: Film, onto: Onto | null): Cover {
  const { times } = lower;
  const quantileDose = (): number =>
    onto === 'through-dry'
      ? Math.max(times.through.median, quantileOf(times.touch, PLANNING_QUANTILE))
      : quantileOf(times.touch, PLANNING_QUANTILE);
  const clock =
    lower.film.laidAtMs === null
      ? null
      : dryingClock(
          context.handbook.constants,
          times.kind,
          context.climate,
          lower.film.laidAtMs,
          null,
        );
  const dose =
    upper.laidAtMs !== null && clock
      ? clock.doseAt(upper.laidAtMs)
      : Math.max(clock ? clock.doseAt(context.nowMs) : 0, quantileDose());
  return {
    cure: cureFraction(times, dose),
    touchDry: dose >= times.touch.median,
    throughDry: dose >= times.through.median,
  };
}

/** Below the first film: gesso and old paintings do not move any more. */
const GROUND_COVER: Cover = { cure: 1, touchDry: true, throughDry: true };

function pairOf(
  context: Context,
  below: Layer[],
  upper: Layer,
  cover: Cover,
): PairAssessment | null {
  const { handbook, painting } = context;
  const direct = below.at(-1);
  const overThinCouch =
    direct !== undefined && below.length > 1 && isThinCouch(direct.judged, handbook);
  const lower = overThinCouch ? below.at(-2) : direct;
  if (!lower && painting.ground.kind !== 'old-painting') return null;
  const pair: FilmPair = {
    lower: lower ? lower.judged : UNKNOWN_FILM,
    upper: upper.judged,
    lowerTouchDry: cover.touchDry,
    lowerThroughDry:
      overThinCouch && lower ? throughDryUnderCouch(context, lower, upper) : cover.throughDry,
  };
  const wet = upper.planned && upper.onto === 'wet' && direct !== undefined && !direct.planned;
  return {
    againstKey: lower?.film.key ?? null,
    againstName: lower?.film.name ?? 'old painting',
    lowerTouchDry: pair.lowerTouchDry,
    lowerThroughDry: pair.lowerThroughDry,
    overThinCouch,
    intoOpen: wet && direct.state === 'open',
    missedWet: wet && direct.state !== 'open',
    bySchool: judgeByAll(handbook, pair),
  };
}

const throughDryUnderCouch = (context: Context, lower: Layer, upper: Layer): boolean =>
  coverOf(context, lower, upper.film, upper.onto).throughDry;

function layerOf(context: Context, film: Film, below: Layer[], coveredAtMs: number | null): Layer {
  const { handbook, climate, nowMs } = context;
  const lower = below.at(-1);
  const onto = film.planned
    ? (context.coats.get(film.coatIds.at(-1) ?? '')?.onto ?? 'touch-dry')
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
  layer.pair = pairOf(context, below, layer, cover);
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

export interface AssessOptions {
  handbook: Handbook;
  climate: Climate;
  nowMs: number;
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
      const [base, ...spots] = sitesOf(painting, passage.id).map((site) =>
        assessSite(context, ordered, site),
      );
      return { passage, base: base!, spots };
    }),
  };
}

/** The verdict of one school on a layer; null where there is nothing to compare (first film on gesso, one film). */
export const verdictOf = (layer: Layer, school: SchoolKey): SchoolVerdict | null =>
  layer.pair && !layer.pair.intoOpen ? layer.pair.bySchool[school] : null;

/** Width of the layer's step in the stair of a school; null where the school has no figure. */
export const stairWidth = (layer: Layer, school: SchoolKey): number | null =>
  measureOf(school, layer.judged);

/** The highest film that has been laid; null on a bare ground. */
export const topLaid = (stack: SiteStack): Layer | null =>
  stack.layers.filter((layer) => !layer.planned).at(-1) ?? null;

/** The coat to come next. */
export const nextPlanned = (stack: SiteStack): Layer | null =>
  stack.layers.find((layer) => layer.planned) ?? null;
