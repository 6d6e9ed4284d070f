import {
  dryingTimes,
  dryingWindows,
  dryState,
  type Below,
  type Climate,
  type ClimateUntil,
  type DryingClock,
  type DryingTimes,
  type DryingWindows,
} from '../drying';
import {
  addConstituents,
  afterGroundLoss,
  isAcrylic,
  isDrawing,
  thicknessOf,
  type Constituents,
} from '../film';
import { featuresOf, learnedTimes, type Features } from '../learn';
import type { Context } from './context';
import type { Layer, PlacedFilm } from './layer';
import { coverOf, GROUND_COVER } from './pair';
import type { Film } from './reduce';

const NO_WINDOWS = 'planned';

/** A film that was laid into again is another film to the finger: its clock began anew. */
export const evidenceIdOf = (film: Film): string => `${film.key}@${film.laidAtMs ?? 'planned'}`;

const kindOf = (film: Constituents): DryingTimes['kind'] =>
  film.material !== null ? 'other' : isAcrylic(film) ? 'acrylic' : 'oil';

/** The clock by which a film dries from when it was laid: of the air that was, and the air to come. */
export const clockOf = (
  { air }: Context,
  asLaid: Constituents,
  laidAtMs: number,
  coveredAtMs: number | null,
): DryingClock => air.clock(kindOf(asLaid), laidAtMs, coveredAtMs);

/** The doses of a film by the tables, spread by the air it dries in; and what that air is until it is touch-dry. */
export function tablesOf(
  context: Context,
  asLaid: Constituents,
  under: Below,
  fromMs: number,
  clock: DryingClock | null,
): { times: DryingTimes; climate: Climate } {
  const { handbook, climate, air, varying, speedOf } = context;
  const thicknessUm = thicknessOf(asLaid);
  const speed = speedOf(asLaid);
  if (!varying)
    return { times: dryingTimes(handbook, asLaid, thicknessUm, under, climate, speed), climate };
  const free = clock ?? clockOf(context, asLaid, fromMs, null);
  const until: ClimateUntil = (dose) => {
    const toMs = free.timeOf(dose) ?? fromMs;
    return {
      climate: air.meanBetween(fromMs, toMs),
      weatherSigma: air.weatherSigma(fromMs, toMs),
    };
  };
  const times = dryingTimes(handbook, asLaid, thicknessUm, under, until, speed);
  return { times, climate: until(times.touch.median).climate };
}

/** The same after what touch tests have taught. */
function timesOf(
  context: Context,
  asLaid: Constituents,
  under: Below,
  fromMs: number,
  clock: DryingClock | null,
  evidenceId: string,
): DryingTimes {
  const { times, climate } = tablesOf(context, asLaid, under, fromMs, clock);
  if (!context.learned || times.kind !== 'oil') return times;
  const { constants } = context.handbook;
  const features = featuresOf(constants, asLaid, thicknessOf(asLaid), under, climate);
  return learnedTimes(context.learned, features, times, evidenceId, fromMs);
}

function featuresFor(
  { handbook, air, climate, varying }: Context,
  asLaid: Constituents,
  under: Below,
  fromMs: number,
  times: DryingTimes,
  clock: DryingClock | null,
): Features {
  const toMs = clock?.timeOf(times.touch.median) ?? fromMs;
  const until = varying ? air.meanBetween(fromMs, toMs) : climate;
  return featuresOf(handbook.constants, asLaid, thicknessOf(asLaid), under, until);
}

/** First stage: a film in its place, with its figures, its state and its clock. Schools and rules speak in the second. */
export function placeFilm(
  context: Context,
  film: Film,
  below: Layer[],
  coveredAtMs: number | null,
): PlacedFilm {
  const { nowMs } = context;
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
  const clock =
    film.laidAtMs === null ? null : clockOf(context, asLaid, film.laidAtMs, coveredAtMs);
  const evidenceId = evidenceIdOf(film);
  const times = timesOf(context, asLaid, under, film.laidAtMs ?? nowMs, clock, evidenceId);
  const own = afterGroundLoss(film.asLaid, film.lossFraction);
  const kept = intoOpen ? addConstituents(lower.kept, own) : own;
  // What the painter added is a matter of the recipe, whatever the ground drank of it.
  const figures =
    kept === asLaid
      ? context.compositionOf(kept)
      : {
          ...context.compositionOf(kept),
          addedOilRatio: context.compositionOf(asLaid).addedOilRatio,
        };
  const thicknessUm = thicknessOf(own);
  return {
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
      material: kept.material,
    },
    state: !clock
      ? 'planned'
      : isDrawing(film.asLaid)
        ? 'through-dry'
        : dryState(times, clock.doseAt(nowMs)),
    clock,
    evidenceId,
    coveredAtMs,
    cover,
    featuresOf: () => featuresFor(context, asLaid, under, film.laidAtMs ?? nowMs, times, clock),
  };
}

/**
 * Second stage: a film in its place with what the schools and the rules say to it. Its windows and what it shares with
 * others are worked out when somebody looks: most films of a picture are long dry and never asked.
 */
export function judgedLayer(
  { handbook }: Context,
  placed: PlacedFilm,
  pair: Layer['pair'],
  findings: Layer['findings'],
): Layer {
  const { clock, times } = placed;
  let features: Features | null = null;
  let windows: DryingWindows | typeof NO_WINDOWS | null = null;
  return {
    ...placed,
    pair,
    findings,
    get windows() {
      windows ??= clock ? dryingWindows(handbook.constants, times, clock) : NO_WINDOWS;
      return windows === NO_WINDOWS ? null : windows;
    },
    get features() {
      features ??= placed.featuresOf();
      return features;
    },
  };
}
