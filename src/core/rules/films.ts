import type { Hit, Predicate, RuleSite } from './types';

/** What can be said of one film, whatever lies below. */
const ROUNDING = 1e-9;

const reduced = ({ film }: RuleSite): number =>
  film.traits.oilFilm ? (film.composition.reducedPvc ?? 0) : 0;

export const underbound: Predicate = (site) =>
  reduced(site) >= site.handbook.constants.reducedPvcFail
    ? { severity: 'forbid', value: reduced(site) }
    : null;

export const nearlyUnderbound: Predicate = (site) => {
  const c = site.handbook.constants;
  const value = reduced(site);
  return value >= c.reducedPvcCaution && value < c.reducedPvcFail
    ? { severity: 'caution', value }
    : null;
};

export const sinkingIn: Predicate = (site) => {
  const c = site.handbook.constants;
  const lean = reduced(site) > c.sinkingReducedPvc && reduced(site) < c.reducedPvcCaution;
  return site.film.key !== 'ground' && (lean || site.film.lossFraction >= c.sinkingLoss)
    ? { severity: 'note', value: site.film.lossFraction }
    : null;
};

/**
 * Alkyd above the cap is refused, other mediums cautioned; glazes of at most 20 um may be mostly medium.
 * Medium alone (a couch) is no paint that a cap could protect.
 */
function mediumCap(site: RuleSite): { rule: string; hit: Hit } | null {
  const { film, handbook } = site;
  const c = handbook.constants;
  const m = film.composition.mediumShare;
  if (!film.traits.oilFilm || m >= 1 || m <= c.mediumShareCaution + ROUNDING) return null;
  if (film.thicknessUm <= c.thinGlazeUm)
    return { rule: 'mostly-medium-glaze', hit: { severity: 'note', value: m } };
  if (m <= c.mediumShareMax + ROUNDING)
    return { rule: 'medium-over-quarter', hit: { severity: 'caution', value: m } };
  const alkyd = film.composition.alkydMediumShare > 0;
  return {
    rule: 'medium-over-third',
    hit: { severity: alkyd ? 'forbid' : 'caution', value: m },
  };
}
const cap =
  (rule: string): Predicate =>
  (site) => {
    const found = mediumCap(site);
    return found?.rule === rule ? found.hit : null;
  };
export const mediumOverQuarter = cap('medium-over-quarter');
export const mediumOverThird = cap('medium-over-third');
export const mostlyMediumGlaze = cap('mostly-medium-glaze');

const isRich = (site: RuleSite): boolean =>
  site.film.traits.oilFilm &&
  (site.film.composition.reducedPvc ?? 0) < site.handbook.constants.richReducedPvc;

export const richFilm: Predicate = (site) => {
  const { richThicknessUm, veryRichThicknessUm } = site.handbook.constants;
  const h = site.film.thicknessUm;
  return isRich(site) && h > richThicknessUm && h <= veryRichThicknessUm
    ? { severity: 'caution', value: reduced(site) }
    : null;
};

export const veryRichFilm: Predicate = (site) =>
  isRich(site) && site.film.thicknessUm > site.handbook.constants.veryRichThicknessUm
    ? { severity: 'strong', value: reduced(site) }
    : null;

export const cobaltThick: Predicate = ({ film, handbook }) =>
  film.traits.cobalt && film.thicknessUm > handbook.constants.veryRichThicknessUm
    ? { severity: 'caution' }
    : null;

export const drierPaleThick: Predicate = ({ film, handbook }) =>
  film.traits.colouringDrier &&
  film.traits.pale &&
  film.thicknessUm > handbook.constants.zincThickUm
    ? { severity: 'caution' }
    : null;

export const drierOverdose: Predicate = ({ film, handbook }) =>
  film.traits.drierShare > handbook.constants.drierMaxShare + ROUNDING
    ? { severity: 'forbid', value: film.traits.drierShare }
    : null;

export const drierSeveralCoats: Predicate = ({ film, below }) =>
  film.traits.drierShare > 0 && below.drier !== null
    ? { severity: 'caution', about: below.drier }
    : null;

export const cloveOverdose: Predicate = ({ film, handbook }) =>
  film.kept.cloveWtPct > handbook.constants.cloveCautionPct
    ? { severity: 'caution', value: film.kept.cloveWtPct }
    : null;

export const cloveBelow: Predicate = ({ film, below }) =>
  film.traits.oilFilm && below.clove !== null ? { severity: 'caution', about: below.clove } : null;

export const resinHigh: Predicate = ({ film, handbook }) =>
  film.traits.oilFilm &&
  !film.traits.mediumOnly &&
  film.composition.resinOfBinder > handbook.constants.resinMaxOfBinder
    ? { severity: 'caution', value: film.composition.resinOfBinder }
    : null;

export const balsamHigh: Predicate = ({ film, handbook }) =>
  film.traits.balsamOfMedium > handbook.constants.balsamMaxOfMedium
    ? { severity: 'caution', value: film.traits.balsamOfMedium }
    : null;

export const waxHigh: Predicate = ({ film, support, handbook }) => {
  const { waxFlexibleMax, waxRigidMax } = handbook.constants;
  const bends = support.kind === 'canvas' || support.kind === 'linen';
  const wax = film.composition.waxOfFilm;
  return wax > (bends ? waxFlexibleMax : waxRigidMax) ? { severity: 'caution', value: wax } : null;
};

export const extenderHigh: Predicate = ({ film, handbook }) =>
  film.traits.extenderShare >= handbook.constants.extenderCaution
    ? { severity: 'caution', value: film.traits.extenderShare }
    : null;

export const waterThinned: Predicate = ({ film, handbook, top }) =>
  film.traits.waterMixable && !top && film.traits.water > handbook.constants.waterMaxShare
    ? { severity: 'caution', value: film.traits.water }
    : null;

export const ordinaryOilInWaterMixable: Predicate = ({ film, handbook }) =>
  film.traits.ordinaryOilShare > handbook.constants.ordinaryOilInWaterMixable
    ? { severity: 'note', value: film.traits.ordinaryOilShare }
    : null;

export const waterSensitive: Predicate = ({ film, top }) =>
  top && film.traits.waterMixable ? { severity: 'caution' } : null;

export const noWetCleaning: Predicate = ({ film, top }) =>
  top && film.traits.oilFilm && !film.traits.waterMixable && film.traits.waterSensitive
    ? { severity: 'note' }
    : null;

export const bitumen: Predicate = ({ film, below }) =>
  film.traits.bitumen
    ? { severity: 'forbid' }
    : below.bitumen !== null && film.traits.oilFilm
      ? { severity: 'forbid', about: below.bitumen }
      : null;

export const drySanding: Predicate = ({ film }) =>
  film.sanded && film.traits.dustMetals ? { severity: 'forbid' } : null;
