import { DAY_MS } from '../drying';
import type { Predicate, RuleSite } from './types';

/** Acrylic, gesso, water-borne varnish, latex: what is water-borne and stays so. */
const isMaterial = (site: RuleSite, material: string): boolean =>
  site.film.kept.material === material;

export const acrylicOverOil: Predicate = (site) =>
  site.film.traits.acrylic && site.below.oil
    ? { severity: 'forbid', about: site.below.direct?.name ?? null }
    : null;

export const gessoOverOil: Predicate = (site) =>
  isMaterial(site, 'acrylic-gesso') && site.below.oil ? { severity: 'forbid' } : null;

export const waterborneVarnishOverOil: Predicate = (site) =>
  isMaterial(site, 'waterborne-varnish') && site.below.oil ? { severity: 'forbid' } : null;

export const latexOverOil: Predicate = (site) =>
  isMaterial(site, 'household-latex') && site.below.oil ? { severity: 'forbid' } : null;

export const latexBelow: Predicate = ({ film, below }) =>
  film.traits.oilFilm && below.body?.kept.material === 'household-latex'
    ? { severity: 'caution', about: below.body.name }
    : null;

/** Days oil waits on acrylic paint of this thickness, um. Hours below 10 C do not count. */
export const oilOverAcrylicDays = (site: RuleSite, thicknessUm: number): number => {
  const c = site.handbook.constants;
  return Math.max(c.oilOverAcrylicDays, (c.oilOverAcrylicDaysPer100um * thicknessUm) / 100);
};

export const oilOverAcrylicPaint: Predicate = (site) => {
  const { film, below, atMs } = site;
  const lower = below.body;
  if (!film.traits.oilFilm || !lower?.traits.acrylic || lower.laidAtMs === null) return null;
  const ready = lower.laidAtMs + oilOverAcrylicDays(site, lower.thicknessUm) * DAY_MS;
  return ready > atMs ? { severity: 'caution', about: lower.name, untilMs: ready } : null;
};

export const acrylicCold: Predicate = ({ film, climate, handbook }) =>
  (film.traits.acrylic || film.kept.material === 'acrylic-gesso') &&
  film.planned &&
  climate.temperatureC < handbook.constants.acrylicTemperatureMinC
    ? { severity: 'caution', value: climate.temperatureC }
    : null;
