import {
  dryingClock,
  dryingTimes,
  dryingWindows,
  dryState,
  type Below,
  type DryingWindows,
} from '../drying';
import { addConstituents, afterGroundLoss, isAcrylic, thicknessOf } from '../film';
import type { Context } from './context';
import type { Layer } from './layer';
import { coverOf, GROUND_COVER, pairOf } from './pair';
import type { Film } from './reduce';

const NO_WINDOWS = 'planned';

/** A film in its place: figures, state, windows, and the verdict of every school on it. Rules speak later. */
export function layerOf(
  context: Context,
  film: Film,
  below: Layer[],
  coveredAtMs: number | null,
): Layer {
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
    thicknessOf(asLaid),
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
  const thicknessUm = thicknessOf(own);
  let windows: DryingWindows | typeof NO_WINDOWS | null = null;
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
      material: kept.material,
    },
    /** Worked out when somebody looks: most films of a picture are long dry and never asked. */
    get windows() {
      windows ??= clock ? dryingWindows(handbook.constants, times, clock) : NO_WINDOWS;
      return windows === NO_WINDOWS ? null : windows;
    },
    state: clock ? dryState(handbook.constants, times, clock.doseAt(nowMs)) : 'planned',
    coveredAtMs,
    findings: [],
    pair: null,
    cover,
  };
  layer.pair = pairOf(
    context,
    context.painting.ground.kind === 'old-painting',
    below,
    layer,
    cover,
  );
  return layer;
}
