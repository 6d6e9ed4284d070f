import { DAY_MS, varnishDoseDays } from '../drying';
import { dryVolume } from '../film';
import type { Predicate, RuleSite } from './types';

/** Oiling out, retouch, varnish and wax. */
const isOilingOut = ({ film }: RuleSite): boolean =>
  film.role === 'oiling-out' && film.traits.mediumOnly;

export const oilingOut: Predicate = (site) =>
  isOilingOut(site) && site.below.direct !== null ? { severity: 'note' } : null;

export const oilingOutFat: Predicate = (site) => {
  if (!isOilingOut(site)) return null;
  const { film, handbook } = site;
  const { oilingOutMaxUm, oilingOutMaxSolids } = handbook.constants;
  const dry = dryVolume(film.kept);
  const solids = dry / (dry + film.kept.volatile);
  return film.thicknessUm > oilingOutMaxUm || solids > oilingOutMaxSolids + 1e-9
    ? { severity: 'caution', value: film.thicknessUm }
    : null;
};

export const oilingOutTacky: Predicate = (site) =>
  isOilingOut(site) &&
  site.below.direct !== null &&
  site.below.direct.key !== 'ground' &&
  !site.lowerTouchDry &&
  !site.film.planned
    ? { severity: 'strong', about: site.below.direct.name }
    : null;

/** A couch of medium that was left to dry, and paint on it sooner than a day after. */
export const couchLeftToDry: Predicate = ({ film, below, handbook, atMs, intoOpen }) => {
  const couch = below.direct;
  if (!couch || couch.role !== 'oiling-out' || film.kept.material !== null) return null;
  if (intoOpen || couch.laidAtMs === null) return null;
  const ready = couch.laidAtMs + handbook.constants.couchWaitDays * DAY_MS;
  return ready > atMs ? { severity: 'caution', about: couch.name, untilMs: ready } : null;
};

const isRetouch = ({ film }: RuleSite): boolean => film.kept.material === 'retouch-varnish';

export const retouchBetween: Predicate = (site) =>
  isRetouch(site) && !site.top ? { severity: 'caution' } : null;

export const retouchTooEarly: Predicate = (site) =>
  isRetouch(site) && site.below.direct !== null && !site.lowerTouchDry
    ? { severity: 'strong', about: site.below.direct.name }
    : null;

export const retouchTwice: Predicate = (site) =>
  isRetouch(site) && site.below.retouch !== null ? { severity: 'forbid' } : null;

export const varnishBetween: Predicate = ({ film, below }) =>
  film.kept.material !== 'wax-polish' &&
  film.role !== 'varnish' &&
  below.finalVarnish !== null &&
  !isFinal(film.kept.material)
    ? { severity: 'forbid', about: below.finalVarnish }
    : null;

const FINAL = new Set(['resin-varnish', 'synthetic-varnish', 'waterborne-varnish', 'wax-polish']);
const isFinal = (material: string | null): boolean => material !== null && FINAL.has(material);

export const varnishTooEarly: Predicate = (site) => {
  const { film, below, lowerTouchRatio } = site;
  const lower = below.body;
  const { material } = film.kept;
  if (material !== 'resin-varnish' && material !== 'synthetic-varnish') return null;
  if (!lower?.traits.oilFilm || lower.key === 'ground') return null;
  const had = lowerTouchRatio * lower.times.touch.median;
  const { constants } = site.handbook;
  const dose = varnishDoseDays(constants, material, lower.times.through.median);
  if (had >= dose) return null;
  const untilMs = site.lowerReaches?.(dose / lower.times.touch.median) ?? null;
  return { severity: 'strong', about: lower.name, value: dose, untilMs };
};

export const varnishSinks: Predicate = ({ film, below, handbook }) =>
  isFinal(film.kept.material) &&
  film.kept.material !== 'wax-polish' &&
  below.body !== null &&
  (below.body.composition.reducedPvc ?? 0) > handbook.constants.sinkingReducedPvc
    ? { severity: 'caution', about: below.body.name }
    : null;

export const naturalVarnishOnResin: Predicate = ({ film, below, handbook }) =>
  film.kept.material === 'resin-varnish' &&
  below.body !== null &&
  below.body.composition.resinOfBinder > handbook.constants.resinNoteOfBinder
    ? { severity: 'strong', about: below.body.name }
    : null;
