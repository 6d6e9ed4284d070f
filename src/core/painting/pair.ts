import { cureFraction, quantileOf } from '../drying';
import {
  isLetOffGlaze,
  isThinCouch,
  judgeByAll,
  judgePair,
  trapIndex,
  type FilmPair,
  type JudgedFilm,
} from '../schools';
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

/** The nearest film below that has a body of its own. */
const bodyBelow = (below: Layer[], handbook: AssessOptions['handbook']): Layer | undefined =>
  below.findLast((layer) => !looksThrough(layer, handbook));

/** The same for constant alkyd, which looks through its let-off glazes as well. */
const bodyUnderGlazes = (below: Layer[], handbook: AssessOptions['handbook']): Layer | undefined =>
  below.findLast((l) => !looksThrough(l, handbook) && !isLetOffGlaze(l.judged, handbook));

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
  // A couch on the bare ground is the film that paint is judged against, thin as it is.
  const lower =
    bodyBelow(below, handbook) ?? (direct && !isPassedOver(direct.kept) ? direct : undefined);
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
  const bySchool = judgeByAll(handbook, pair);
  const beneath = bodyUnderGlazes(below, handbook);
  const deeper = beneath !== undefined && beneath !== lower ? beneath : null;
  if (deeper)
    bySchool['constant-alkyd'] = judgePair(handbook, 'constant-alkyd', {
      ...pair,
      lower: deeper.judged,
      lowerThroughDry: coverOf(context, deeper, upper.film, upper.onto).throughDry,
    });
  return {
    againstKey: lower?.film.key ?? null,
    againstName: lower?.film.name ?? 'old painting',
    againstBySchool: deeper
      ? { 'constant-alkyd': { key: deeper.film.key, name: deeper.film.name } }
      : {},
    lowerTouchDry: pair.lowerTouchDry,
    lowerThroughDry: pair.lowerThroughDry,
    overThinCouch: through && direct !== undefined && !isPassedOver(direct.kept),
    intoOpen: wet && direct.state === 'open',
    missedWet: wet && direct.state !== 'open',
    trapIndex: known ? trapIndex(lower.times, upper.times, lowerCover.dose) : null,
    bySchool,
  };
}
