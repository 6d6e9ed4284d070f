import type { Constants } from '@/data/constants';
import { isSunk } from './sunk';
import type { DryState } from '../drying';
import { nextPlanned, topLaid, type Layer, type PaintingAssessment, type SiteStack } from './layer';
import { openBothers } from './notes-of';
import { isBegun } from './sites';
import type { Bother, Coat, LaidEvent, Passage } from './schema';

/** How one passage stands after a break. */
export interface PassageStanding {
  passage: Passage;
  top: Layer | null;
  state: DryState | 'bare';
  /** It was open when the painter last worked, and cannot be blended into any more. */
  lostForBlending: boolean;
  /** Matt patches are to be expected: the film is short of binder, or the ground drank. */
  sunk: boolean;
  next: Coat | null;
  /** A part of it lies there already. */
  rest: boolean;
  /** Spots for which a coat of their own is planned. */
  spots: { name: string; next: Coat }[];
}

export interface Standing {
  daysAway: number;
  lastWorkedMs: number;
  passages: PassageStanding[];
  /** What was laid on the last day of work, newest first: the mixes to match. */
  lastMixes: LaidEvent[];
  bothers: Bother[];
  /** Whether to oil out: dull patches likely, and everything there is touch-dry. */
  oilOut: 'likely' | 'if-dull' | 'wait' | 'nothing-there';
}

const DAY_MS = 86_400_000;
/** A painting untouched for so long is told of again when it is opened. */
export const BREAK_DAYS = 7;
/** Entries within a day of the last belong to the same sitting. */
const SAME_SITTING_MS = DAY_MS;

/**
 * Where a painting stands when the painter comes back to it. Null when nothing was laid, or the break was short.
 * @param constants of the handbook: from where on a film lies sunk
 */
export function standingOf(
  { painting, passages }: PaintingAssessment,
  nowMs: number,
  constants: Constants,
): Standing | null {
  const done = painting.events.filter((e) => e.kind !== 'touched');
  if (done.length === 0) return null;
  const lastWorkedMs = Math.max(...done.map((e) => Date.parse(e.at)));
  const daysAway = (nowMs - lastWorkedMs) / DAY_MS;
  if (daysAway < BREAK_DAYS) return null;
  const coatOf = (stack: SiteStack): Coat | null =>
    painting.coats.find((c) => c.id === nextPlanned(stack)?.film.coatIds[0]) ?? null;
  const told = passages.map(({ passage, base, spots }): PassageStanding => {
    const top = topLaid(base);
    const own = top && top.film.coatIds.length > 0 ? top : null;
    const recent =
      own !== null &&
      own.film.laidAtMs !== null &&
      lastWorkedMs - own.film.laidAtMs < SAME_SITTING_MS;
    return {
      passage,
      top: own,
      state: own && own.state !== 'planned' ? own.state : 'bare',
      lostForBlending: recent && own.state !== 'open',
      sunk:
        own !== null &&
        isSunk({ composition: own.composition, lossFraction: own.film.lossFraction }, constants),
      next: coatOf(base),
      rest: coatOf(base) !== null && isBegun(painting, coatOf(base)!, passage.id),
      spots: spots.flatMap((stack) => {
        const next = coatOf(stack);
        return next?.spot ? [{ name: next.spot.name, next }] : [];
      }),
    };
  });
  const painted = told.filter((p) => p.top !== null);
  const dry = painted.every((p) => p.state === 'touch-dry' || p.state === 'through-dry');
  return {
    daysAway,
    lastWorkedMs,
    passages: told,
    lastMixes: done
      .filter(
        (e): e is LaidEvent =>
          e.kind === 'laid' &&
          e.recipe.mix.length > 0 &&
          lastWorkedMs - Date.parse(e.at) < SAME_SITTING_MS,
      )
      .reverse(),
    bothers: openBothers(painting),
    oilOut:
      painted.length === 0
        ? 'nothing-there'
        : !dry
          ? 'wait'
          : painted.some((p) => p.sunk)
            ? 'likely'
            : 'if-dull',
  };
}
