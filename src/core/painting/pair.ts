import { cureFraction, quantileOf } from '../drying';
import { isThinCouch, judgeByAll, trapIndex, type FilmPair, type JudgedFilm } from '../schools';
import { isPassedOver } from '../film';
import type { Context } from './context';
import type { AssessOptions, Layer, PairAssessment, PlacedFilm } from './layer';
import type { Film } from './reduce';
import type { Onto } from './schema';

/** When a coat may go on, as the plan assumes: with this chance the film below has reached the stage. */
export const PLANNING_QUANTILE = 0.75;
/** The chance that stands behind a deadline. */
export const DEADLINE_QUANTILE = 0.9;

const UNKNOWN_FILM: JudgedFilm = {
  composition: null,
  tubes: {},
  thicknessUm: 0,
  times: null,
  acrylic: false,
  material: null,
};

export interface Cover {
  /** Dose the lower film has had by then, reference-days. */
  dose: number;
  cure: number;
  touchDry: boolean;
  throughDry: boolean;
}

/**
 * State of the lower film when the upper goes on. Laid on laid: by its dose at that time. Planned: now if
 * it is already further, else at the planning quantile of the stage that the coat waits for.
 */
export function coverOf(context: Context, lower: Layer, upper: Film, onto: Onto | null): Cover {
  const { times } = lower;
  const quantileDose = (): number =>
    onto === 'through-dry'
      ? Math.max(times.through.median, quantileOf(times.touch, PLANNING_QUANTILE))
      : quantileOf(times.touch, PLANNING_QUANTILE);
  const clock =
    lower.film.laidAtMs === null ? null : context.air.clock(times.kind, lower.film.laidAtMs, null);
  const dose =
    upper.laidAtMs !== null && clock
      ? clock.doseAt(upper.laidAtMs)
      : Math.max(clock ? clock.doseAt(context.nowMs) : 0, quantileDose());
  return {
    dose,
    cure: cureFraction(times, dose),
    touchDry: dose >= times.touch.median,
    throughDry: dose >= times.through.median,
  };
}

/** Below the first film: gesso and old paintings do not move any more. */
export const GROUND_COVER: Cover = { dose: Infinity, cure: 1, touchDry: true, throughDry: true };

/** A film that a stroke's verdict looks through: a wiped couch left to dry, a drawing, a retouch. */
const looksThrough = (layer: Layer, handbook: AssessOptions['handbook']): boolean =>
  isPassedOver(layer.kept) || isThinCouch(layer.judged, handbook);

/** The nearest film below that has a body of its own; the index, -1 when there is none. */
function bodyBelow(below: Layer[], handbook: AssessOptions['handbook']): number {
  let i = below.length - 1;
  while (i >= 0 && looksThrough(below[i]!, handbook)) i -= 1;
  return i;
}

/** A film and the one it is judged against, by every school; null where no school has anything to say. */
export function pairOf(
  context: Context,
  onOldPainting: boolean,
  below: Layer[],
  upper: PlacedFilm,
  cover: Cover,
): PairAssessment | null {
  const { handbook } = context;
  const direct = below.at(-1);
  const i = bodyBelow(below, handbook);
  // A couch on the bare ground is the film that paint is judged against, thin as it is.
  const lower = below[i] ?? (direct && !isPassedOver(direct.kept) ? direct : undefined);
  const through = lower !== direct;
  if (!lower && !onOldPainting) return null;
  const lowerCover = through && lower ? coverOf(context, lower, upper.film, upper.onto) : cover;
  const pair: FilmPair = {
    lower: lower ? lower.judged : UNKNOWN_FILM,
    upper: upper.judged,
    lowerTouchDry: cover.touchDry,
    lowerThroughDry: lowerCover.throughDry,
  };
  const wet = upper.planned && upper.onto === 'wet' && direct !== undefined && !direct.planned;
  const known = lower !== undefined && upper.judged.times !== null;
  return {
    againstKey: lower?.film.key ?? null,
    againstName: lower?.film.name ?? 'old painting',
    lowerTouchDry: pair.lowerTouchDry,
    lowerThroughDry: pair.lowerThroughDry,
    overThinCouch: through && direct !== undefined && !isPassedOver(direct.kept),
    intoOpen: wet && direct.state === 'open',
    missedWet: wet && direct.state !== 'open',
    trapIndex: known ? trapIndex(lower.times, upper.times, lowerCover.dose) : null,
    bySchool: judgeByAll(handbook, pair),
  };
}
