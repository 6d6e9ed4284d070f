import { DAY_MS } from '../drying';
import type { Predicate, RuleSite } from './types';

/** Pastel, tempera, house paint, shellac and drawing beside artists' oil. */
const material = ({ film }: RuleSite): string | null => film.kept.material;

export const oilPastelBelow: Predicate = ({ film, below }) =>
  below.pastel !== null && film.kept.material !== 'fixative' && film.kept.material !== 'oil-pastel'
    ? { severity: 'forbid', about: below.pastel }
    : null;

export const oilPastelOnTop: Predicate = (site) =>
  material(site) === 'oil-pastel' && site.top ? { severity: 'caution' } : null;

export const oilStick: Predicate = (site) =>
  material(site) === 'oil-stick' ? { severity: 'caution' } : null;

export const temperaUnderOil: Predicate = ({ film, below, handbook, atMs }) => {
  const lower = below.body;
  if (!film.traits.oilFilm || lower?.kept.material !== 'egg-tempera') return null;
  const ready =
    lower.laidAtMs === null ? null : lower.laidAtMs + handbook.constants.temperaWaitDays * DAY_MS;
  return {
    severity: 'note',
    about: lower.name,
    untilMs: ready !== null && ready > atMs ? ready : null,
  };
};

export const temperaOverOil: Predicate = (site) =>
  material(site) === 'egg-tempera' && site.below.oil ? { severity: 'forbid' } : null;

export const aqueousOverOil: Predicate = (site) =>
  material(site) === 'casein' && site.below.oil ? { severity: 'forbid' } : null;

export const caseinUnderOil: Predicate = ({ film, below, handbook, atMs }) => {
  const lower = below.body;
  if (!film.traits.oilFilm || lower?.kept.material !== 'casein') return null;
  const ready =
    lower.laidAtMs === null ? null : lower.laidAtMs + handbook.constants.caseinWaitDays * DAY_MS;
  return {
    severity: 'caution',
    about: lower.name,
    untilMs: ready !== null && ready > atMs ? ready : null,
  };
};

export const householdEnamel: Predicate = (site) =>
  (material(site) === 'household-enamel' && site.below.oil) ||
  (site.film.traits.oilFilm && site.below.body?.kept.material === 'household-enamel')
    ? { severity: 'caution', about: site.below.body?.name ?? null }
    : null;

export const shellac: Predicate = ({ film, below }) =>
  film.kept.material === null && below.shellac !== null
    ? { severity: 'caution', about: below.shellac }
    : null;

/** A seal or a first thin coat of acrylic in between locks it; then nothing is said. */
export const looseCharcoal: Predicate = ({ film, below }) =>
  film.kept.material === null && below.charcoal !== null && !film.traits.acrylic
    ? { severity: 'caution', about: below.charcoal }
    : null;

export const graphite: Predicate = ({ film, below }) =>
  film.traits.oilFilm && below.graphite !== null
    ? { severity: 'note', about: below.graphite }
    : null;

export const dyeDrawing: Predicate = ({ film, below }) =>
  film.traits.oilFilm && below.dye !== null ? { severity: 'forbid', about: below.dye } : null;
