import type { Handbook } from '../handbook';
import type { JudgedFilm, Verdict } from './types';

/** What can be said of a single film, whatever lies below. */
export interface FilmLimit {
  code:
    | 'underbound'
    | 'nearly-underbound'
    | 'medium-over-quarter'
    | 'medium-over-third'
    | 'mostly-medium-glaze'
    | 'rich-film';
  verdict: Verdict;
  /** The figure the limit is about: reduced PVC, or share of medium. */
  value: number;
}

/** Alkyd above the cap is refused, other mediums cautioned; glazes of at most 20 um may be mostly medium. */
function mediumLimit(film: JudgedFilm, handbook: Handbook): FilmLimit | null {
  const c = handbook.constants;
  const m = film.composition?.mediumShare ?? 0;
  const ROUNDING = 1e-9;
  // Medium alone (a couch) is no paint that a cap could protect.
  if (m >= 1 || m <= c.mediumShareCaution + ROUNDING) return null;
  if (film.thicknessUm <= c.thinGlazeUm)
    return { code: 'mostly-medium-glaze', verdict: 'note', value: m };
  if (m <= c.mediumShareMax + ROUNDING)
    return { code: 'medium-over-quarter', verdict: 'caution', value: m };
  const alkyd = (film.composition?.alkydMediumShare ?? 0) > 0;
  return { code: 'medium-over-third', verdict: alkyd ? 'fail' : 'caution', value: m };
}

/** Limits of one film as it lies: pores, cap of medium, too rich for its thickness. */
export function filmLimits(handbook: Handbook, film: JudgedFilm): FilmLimit[] {
  if (!film.composition || film.acrylic) return [];
  const c = handbook.constants;
  const limits: FilmLimit[] = [];
  const reduced = film.composition.reducedPvc;
  if (reduced !== null && reduced >= c.reducedPvcFail)
    limits.push({ code: 'underbound', verdict: 'fail', value: reduced });
  else if (reduced !== null && reduced >= c.reducedPvcCaution) {
    limits.push({ code: 'nearly-underbound', verdict: 'caution', value: reduced });
  }
  const medium = mediumLimit(film, handbook);
  if (medium) limits.push(medium);
  if ((reduced ?? 0) < c.richReducedPvc && film.thicknessUm > c.richThicknessUm) {
    limits.push({ code: 'rich-film', verdict: 'caution', value: reduced ?? 0 });
  }
  return limits;
}
