import { DAY_MS } from '../drying';
import type { Predicate, RuleSite } from './types';

/** The first film of paint on the ground: what the ground and the support have to say is said to it. */
const first = ({ below, film }: RuleSite): boolean =>
  (below.body === null || below.body.key === 'ground') &&
  film.key !== 'ground' &&
  film.kept.material === null;

const firstOil = (site: RuleSite): boolean => first(site) && site.film.traits.oilFilm;

/** A ground still too fresh when the first coat goes on. */
const fresh =
  (kind: RuleSite['ground']['kind']): Predicate =>
  (site) =>
    first(site) &&
    site.ground.kind === kind &&
    site.groundReadyAtMs !== null &&
    site.groundReadyAtMs > site.atMs
      ? { severity: 'caution', untilMs: site.groundReadyAtMs }
      : null;

export const acrylicGroundFresh: Predicate = (site) =>
  firstOil(site) ? fresh('acrylic-gesso')(site) : null;
export const chalkGroundFresh = fresh('chalk-glue');
export const oilGroundFresh = fresh('oil-ground');
export const alkydGroundFresh = fresh('alkyd-ground');

export const acrylicGround: Predicate = (site) =>
  firstOil(site) && site.ground.kind === 'acrylic-gesso' ? { severity: 'note' } : null;

export const chalkGround: Predicate = (site) =>
  first(site) && site.ground.kind === 'chalk-glue' ? { severity: 'caution' } : null;

export const bareSupport: Predicate = (site) =>
  firstOil(site) &&
  site.ground.kind === 'bare' &&
  site.ground.size === 'none' &&
  site.support.kind !== 'metal-panel'
    ? { severity: 'forbid' }
    : null;

export const smoothGround: Predicate = (site) =>
  first(site) && 'smooth' in site.ground && site.ground.smooth === true
    ? { severity: 'caution' }
    : null;

export const metalSupport: Predicate = (site) =>
  first(site) && site.support.kind === 'metal-panel' ? { severity: 'caution' } : null;

export const unsealedBoard: Predicate = (site) =>
  first(site) &&
  (site.support.kind === 'fibreboard-panel' || site.support.kind === 'wood-panel') &&
  site.support.sealed === false
    ? { severity: 'caution' }
    : null;

export const epoxyBelow: Predicate = ({ film, below }) =>
  film.traits.oilFilm && below.body?.kept.material === 'epoxy'
    ? { severity: 'caution', about: below.body.name }
    : null;

export const panelMoves: Predicate = (site) =>
  first(site) && site.support.kind === 'wood-panel' ? { severity: 'note' } : null;

const FLEXIBLE = new Set(['canvas', 'linen']);

export const canvasFlexes: Predicate = (site) => {
  const { film, ground, support, handbook } = site;
  if (!FLEXIBLE.has(support.kind)) return null;
  const c = handbook.constants;
  const stiff =
    film.kept.material === 'casein' ||
    (first(site) && ground.kind === 'chalk-glue') ||
    (film.traits.oilFilm &&
      (film.traits.zincShare > 0 ||
        (film.composition.reducedPvc ?? 0) > c.canvasReducedPvc ||
        film.composition.waxOfFilm > c.waxFlexibleMax ||
        film.thicknessUm >= c.canvasThickUm));
  return stiff ? { severity: 'caution' } : null;
};

const SIZE_RH: [number, number] = [40, 60];

export const sizeMoves: Predicate = (site) => {
  const { ground, climate } = site;
  const glue = ground.kind === 'chalk-glue' || (ground.kind === 'bare' && ground.size === 'glue');
  const outside =
    climate.relativeHumidityPct < SIZE_RH[0] || climate.relativeHumidityPct > SIZE_RH[1];
  return first(site) && glue && outside
    ? { severity: 'caution', value: climate.relativeHumidityPct }
    : null;
};

/** Old paint younger than a year is named with the day it is past it. */
export const oldPainting: Predicate = (site) => {
  const { ground, handbook, atMs } = site;
  if (!first(site) || ground.kind !== 'old-painting') return null;
  const ready = Date.parse(ground.paintedAt) + handbook.constants.oldPaintYoungDays * DAY_MS;
  return { severity: 'caution', untilMs: ready > atMs ? ready : null };
};

export const oldPaintingVarnished: Predicate = (site) =>
  first(site) &&
  site.ground.kind === 'old-painting' &&
  (site.ground.surface === 'varnished' || site.ground.surface === 'waxed')
    ? { severity: 'forbid' }
    : null;

export const oldPaintingLead: Predicate = (site) =>
  first(site) && site.ground.kind === 'old-painting' && site.ground.lead === true
    ? { severity: 'caution' }
    : null;
