import { DAY_MS } from '../drying';
import type { Predicate, RuleSite } from './types';

/** What one film does to the film it lies on. */
const onPaint = ({ film, below, intoOpen }: RuleSite): boolean =>
  film.kept.material === null && below.direct !== null && !intoOpen;

/** Laid, or about to be, on paint that is neither open nor touch-dry. A plan waits, so only what is laid can do it. */
export const onTacky: Predicate = (site) =>
  onPaint(site) && !site.film.planned && !site.lowerTouchDry && site.below.direct!.key !== 'ground'
    ? { severity: 'strong', about: site.below.direct!.name }
    : null;

export const trapped: Predicate = ({ trapIndex, handbook, below, intoOpen }) => {
  const { trapCaution, trapWarn } = handbook.constants;
  if (trapIndex === null || intoOpen || trapIndex <= trapCaution) return null;
  return {
    severity: trapIndex > trapWarn ? 'strong' : 'caution',
    about: below.body?.name ?? null,
    value: trapIndex,
  };
};

const hasAlkyd = (film: RuleSite['film']): boolean => film.composition.alkydOfBinder > 0;

export const alkydOverSlowOil: Predicate = (site) => {
  const { film, below, lowerThroughDry, trapIndex, handbook } = site;
  const lower = below.body;
  if (!onPaint(site) || !hasAlkyd(film) || !lower?.traits.oilFilm) return null;
  if (hasAlkyd(lower) || lowerThroughDry || lower.traits.mediumOnly) return null;
  const shut = (trapIndex ?? 0) > handbook.constants.trapCaution;
  return { severity: shut ? 'forbid' : 'caution', about: lower.name };
};

export const oilOverAlkyd: Predicate = (site) => {
  const { film, below, atMs, handbook } = site;
  const lower = below.body;
  if (!onPaint(site) || !film.traits.oilFilm || !lower || !hasAlkyd(lower)) return null;
  const old =
    lower.laidAtMs !== null && atMs - lower.laidAtMs > handbook.constants.alkydHardDays * DAY_MS;
  return old ? { severity: 'note', about: lower.name } : null;
};

const SLOW_SHARE = 0.5;

export const slowOilBelow: Predicate = ({ film, below, lowerThroughDry }) => {
  const lower = below.body;
  return film.traits.oilFilm &&
    lower !== null &&
    lower.traits.slowOilShare > SLOW_SHARE &&
    !lowerThroughDry &&
    film.times.intrinsicTouchDays < lower.times.intrinsicTouchDays
    ? { severity: 'caution', about: lower.name }
    : null;
};

/**
 * Solvent on young paint; the more, the stronger and the younger, the worse. A planned coat waits: over a laid
 * one it is told from when, over a planned one it is only to know.
 */
export const solventLifts: Predicate = (site) => {
  const { film, below, handbook, atMs, lowerThroughDry, lowerTouchDry, lowerTouchRatio } = site;
  const lower = below.body;
  if (!onPaint(site) || !lower?.traits.oilFilm || lowerThroughDry) return null;
  const { freeSolvent: value, strongSolvent } = film.traits;
  const c = handbook.constants;
  if (value <= c.solventCautionShare) return null;
  const about = lower.name;
  if (!film.planned && !lowerTouchDry) return { severity: 'forbid', about, value };
  if (value > c.solventStrongShare || strongSolvent) return { severity: 'strong', about, value };
  if (!film.planned)
    return lowerTouchRatio < c.solventYoungTouch ? { severity: 'caution', about, value } : null;
  if (!site.lowerReaches) return { severity: 'note', about, value };
  const untilMs = site.lowerReaches(c.solventYoungTouch);
  return untilMs === null || untilMs > atMs ? { severity: 'caution', about, value, untilMs } : null;
};

export const solventOnResin: Predicate = (site) => {
  const { film, below, handbook } = site;
  const lower = below.body;
  return onPaint(site) &&
    lower !== null &&
    lower.composition.resinOfBinder > handbook.constants.resinNoteOfBinder &&
    film.traits.freeSolvent > handbook.constants.solventCautionShare
    ? { severity: 'caution', about: lower.name }
    : null;
};

export const resinBelow: Predicate = ({ film, below }) =>
  film.kept.material === null && below.resin !== null
    ? { severity: 'caution', about: below.resin }
    : null;

export const resinGlaze: Predicate = ({ film, handbook, top }) =>
  top &&
  film.traits.oilFilm &&
  film.composition.resinOfBinder > handbook.constants.resinNoteOfBinder
    ? { severity: 'note', value: film.composition.resinOfBinder }
    : null;

/** Lean: with little spare binder, or thinned with water. */
export const leadWithSulfide: Predicate = ({ film, below, handbook }) => {
  const near = [film, below.direct].filter((f) => f !== null);
  const lead = near.some((f) => f.traits.hasLead);
  const sulfide = near.some((f) => f.traits.hasSulfide);
  const lean =
    (film.composition.reducedPvc ?? 0) > handbook.constants.sinkingReducedPvc ||
    film.traits.water > 0;
  return lead && sulfide && lean && (film.traits.hasLead || film.traits.hasSulfide)
    ? { severity: 'note' }
    : null;
};

export const copperWithSulfide: Predicate = ({ film, below }) => {
  const { hasCopperGreen, hasSulfide } = film.traits;
  const lower = below.direct?.traits;
  return (hasCopperGreen && (hasSulfide || lower?.hasSulfide)) ||
    (hasSulfide && lower?.hasCopperGreen)
    ? { severity: 'caution', about: below.direct?.name ?? null }
    : null;
};

export const bleedingColour: Predicate = ({ film, below }) =>
  film.traits.pale && below.bleeder !== null ? { severity: 'caution', about: below.bleeder } : null;
