import type { Predicate } from './types';

/** Zinc below speaks to paint above it; zinc itself speaks for its own film. */
export const zincBelow: Predicate = ({ film, below }) =>
  film.traits.oilFilm && below.zincForbidden !== null
    ? { severity: 'forbid', about: below.zincForbidden }
    : null;

export const zincTraceBelow: Predicate = ({ film, below }) =>
  film.traits.oilFilm && below.zincForbidden === null && below.zincTrace !== null
    ? { severity: 'caution', about: below.zincTrace }
    : null;

const UNDER_ROLES = new Set(['tone', 'underpainting']);

export const zincThick: Predicate = ({ film, handbook }) => {
  const { zincThickUm, zincForbidShare } = handbook.constants;
  const { zincShare } = film.traits;
  return zincShare >= zincForbidShare &&
    (film.thicknessUm > zincThickUm || UNDER_ROLES.has(film.role))
    ? { severity: 'forbid', value: zincShare }
    : null;
};

export const zincOnTop: Predicate = ({ film, support, large, handbook }) => {
  const { zincShare } = film.traits;
  if (zincShare === 0) return null;
  const { zincForbidShare } = handbook.constants;
  const bends = support.kind === 'canvas' || support.kind === 'linen';
  const strong = zincShare >= zincForbidShare && (bends || large);
  return { severity: strong ? 'strong' : 'caution', value: zincShare };
};

export const whiteUnknown: Predicate = ({ film }) =>
  film.traits.makeUpUnknown ? { severity: 'caution' } : null;
