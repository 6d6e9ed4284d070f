import { cureFraction, dryingClock, quantileOf } from '../drying';
import { isThinCouch, judgeByAll, type FilmPair, type JudgedFilm } from '../schools';
import type { AssessOptions, Layer, PairAssessment } from './layer';
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
};

export interface Cover {
  cure: number;
  touchDry: boolean;
  throughDry: boolean;
}

/**
 * State of the lower film when the upper goes on. Laid on laid: by its dose at that time. Planned: now if
 * it is already further, else at the planning quantile of the stage that the coat waits for.
 */
export function coverOf(
  context: AssessOptions,
  lower: Layer,
  upper: Film,
  onto: Onto | null,
): Cover {
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
export const GROUND_COVER: Cover = { cure: 1, touchDry: true, throughDry: true };

export function pairOf(
  context: AssessOptions,
  onOldPainting: boolean,
  below: Layer[],
  upper: Layer,
  cover: Cover,
): PairAssessment | null {
  const { handbook } = context;
  const direct = below.at(-1);
  const overThinCouch =
    direct !== undefined && below.length > 1 && isThinCouch(direct.judged, handbook);
  const lower = overThinCouch ? below.at(-2) : direct;
  if (!lower && !onOldPainting) return null;
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

const throughDryUnderCouch = (context: AssessOptions, lower: Layer, upper: Layer): boolean =>
  coverOf(context, lower, upper.film, upper.onto).throughDry;
