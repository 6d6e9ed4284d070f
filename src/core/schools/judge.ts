import type { Handbook } from '../handbook';
import { SCHOOLS } from './schools';
import type { Judgement } from './shared';
import {
  SCHOOL_KEYS,
  type FilmPair,
  type JudgedFilm,
  type KnownFilm,
  type KnownPair,
  type SchoolKey,
  type SchoolVerdict,
} from './types';

const ROUNDING = 1e-9;
const isKnown = (film: JudgedFilm): film is KnownFilm =>
  film.composition !== null && film.times !== null;

/** Medium alone, wiped so thin that it carries no stiffness of its own. */
export const isThinCouch = (film: JudgedFilm, handbook: Handbook): boolean =>
  film.composition !== null &&
  film.composition.pvc === 0 &&
  !film.acrylic &&
  film.thicknessUm <= handbook.constants.dryCouchUm;

/**
 * Mostly alkyd medium, but so thin that the school of constant alkyd lets it off: what comes on it is held to the body
 * below it, as over a couch.
 */
export const isLetOffGlaze = (film: JudgedFilm, { constants, revised }: Handbook): boolean =>
  revised &&
  isKnown(film) &&
  !film.acrylic &&
  film.composition.alkydMediumShare > constants.mediumShareCaution + ROUNDING &&
  film.thicknessUm <= constants.thinGlazeUm;

/** The school's figure of a film; null where it has none. */
export const measureOf = (school: SchoolKey, film: JudgedFilm): number | null =>
  isKnown(film) && !film.acrylic && film.material === null ? SCHOOLS[school].measure(film) : null;

/**
 * Judge two films that have set by one school.
 * Acrylic below counts as ground and is not compared; acrylic over anything else fails by every school
 * (no adhesion: common knowledge of conservators, from memory, high); a film of unknown oil cannot be judged.
 */
export function judgePair(handbook: Handbook, school: SchoolKey, pair: FilmPair): SchoolVerdict {
  const { verdict, reason } = judgement(handbook, school, pair);
  return {
    school,
    verdict,
    reason,
    lower: measureOf(school, pair.lower),
    upper: measureOf(school, pair.upper),
  };
}

function judgement(handbook: Handbook, school: SchoolKey, pair: FilmPair): Judgement {
  const { lower, upper } = pair;
  // Fat over lean says nothing of pastel, tempera or varnish; the compatibility rules do.
  if (upper.material !== null || lower.material !== null)
    return { verdict: 'not-applicable', reason: 'not-paint' };
  if (upper.acrylic) {
    return lower.acrylic
      ? { verdict: 'not-applicable', reason: 'acrylic-below' }
      : { verdict: 'fail', reason: 'acrylic-over-oil' };
  }
  if (lower.acrylic) return { verdict: 'not-applicable', reason: 'acrylic-below' };
  if (!isKnown(lower) || !isKnown(upper)) return { verdict: 'undecided', reason: 'oil-unknown' };
  if (school === 'constant-alkyd' && isThinCouch(upper, handbook)) {
    return { verdict: 'not-applicable', reason: 'no-alkyd' };
  }
  return SCHOOLS[school].judge(pair as KnownPair, handbook.constants, handbook);
}

/** The pair by every school. */
export function judgeByAll(handbook: Handbook, pair: FilmPair): Record<SchoolKey, SchoolVerdict> {
  const verdicts: Partial<Record<SchoolKey, SchoolVerdict>> = {};
  for (const key of SCHOOL_KEYS) verdicts[key] = judgePair(handbook, key, pair);
  return verdicts as Record<SchoolKey, SchoolVerdict>;
}
