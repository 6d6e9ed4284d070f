import { sum } from '../film/constituents';
import { FLEXIBLE } from '../painting/vocabulary';
import type { Hit, Predicate, RuleSite } from './types';
import { CONSERVATORS, PRACTICE, JUDGEMENT, COATINGS } from './sources';
import { rule } from './rule';

/** What can be said of one film, whatever lies below. */
const ROUNDING = 1e-9;

const reduced = ({ film }: RuleSite): number =>
  film.traits.oilFilm ? (film.composition.reducedPvc ?? 0) : 0;

const underbound = rule({
  key: 'underbound',
  title: 'Too little binder',
  says: 'The film will be open and chalky.',
  mend: 'Rub it; if it comes off, seal it thinly or start again. Or add medium.',
  source: 'reduced PVC above 1 leaves pores: Bierwagen & Hay (1975); from memory',
  confidence: 'high',
  needs: 'always',
  speaks: (site) =>
    reduced(site) >= site.handbook.constants.reducedPvcFail
      ? { severity: 'forbid', value: reduced(site) }
      : null,
});

const nearlyUnderbound = rule({
  key: 'nearly-underbound',
  title: 'Only just bound',
  says: 'Expect it matt, and weak under the rag.',
  mend: 'Rub it before the next coat, or add a little medium.',
  source: 'reduced PVC, error about 0.09; computed',
  confidence: 'medium',
  needs: 'always',
  speaks: (site) => {
    const c = site.handbook.constants;
    const value = reduced(site);
    // The coat that comes on it brings the oil that a lean first coat wants.
    return value >= c.reducedPvcCaution && value < c.reducedPvcFail
      ? { severity: site.top ? 'caution' : 'note', value }
      : null;
  },
});

const sinkingIn = rule({
  key: 'sinking-in',
  title: 'It will sink in',
  says: 'Dull, uneven patches: the ground drinks, or there is little spare binder. Not a fault of drying.',
  mend: 'Oil out at touch-dry, or leave it to the varnish.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'always',
  speaks: (site) => {
    const c = site.handbook.constants;
    const lean = reduced(site) > c.sinkingReducedPvc && reduced(site) < c.reducedPvcCaution;
    return site.film.key !== 'ground' && (lean || site.film.lossFraction >= c.sinkingLoss)
      ? { severity: 'note', value: site.film.lossFraction }
      : null;
  },
});

/**
 * Alkyd above the cap is refused, other mediums cautioned; glazes of at most 20 um may be mostly medium.
 * Medium alone (a couch) is no paint that a cap could protect.
 */
function mediumCap(site: RuleSite): { rule: string; hit: Hit } | null {
  const { film, handbook } = site;
  const c = handbook.constants;
  const m = film.composition.mediumShare;
  if (!film.traits.oilFilm || m >= 1 || m <= c.mediumShareCaution + ROUNDING) return null;
  // Spirits and water are no medium: they wrinkle nothing and yellow nothing. What they do is underbound, and lift.
  const { addedOil, alkydMedium, resin, wax } = film.kept;
  if (sum(addedOil) + alkydMedium + resin + wax === 0) return null;
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
const mediumOverQuarter = rule({
  key: 'medium-over-quarter',
  title: 'Medium over a quarter',
  says: 'Over the usual quarter: it may wrinkle, yellow and stay soft.',
  mend: 'Keep to 25 %, or lay it as a thin glaze.',
  source: PRACTICE,
  confidence: 'medium',
  needs: 'always',
  speaks: cap('medium-over-quarter'),
});

const mediumOverThird = rule({
  key: 'medium-over-third',
  title: 'Medium over a third',
  says: 'Over a third, which no teaching allows in a body coat.',
  mend: 'Less medium, or a glaze of at most 20 µm.',
  source: PRACTICE,
  confidence: 'medium',
  needs: 'always',
  speaks: cap('medium-over-third'),
});

const mostlyMediumGlaze = rule({
  key: 'mostly-medium-glaze',
  title: 'Mostly medium',
  says: 'Normal for a glaze this thin.',
  mend: 'Nothing to do.',
  source: PRACTICE,
  confidence: 'medium',
  needs: 'always',
  speaks: cap('mostly-medium-glaze'),
});

const isRich = (site: RuleSite): boolean =>
  site.film.traits.oilFilm &&
  (site.film.composition.reducedPvc ?? 0) < site.handbook.constants.richReducedPvc;

const richFilm = rule({
  key: 'rich-film',
  title: 'Very rich for its thickness',
  says: 'A skin forms over liquid paint and wrinkles.',
  mend: 'Lay it thinner, or with less medium.',
  source: COATINGS,
  confidence: 'medium',
  needs: 'always',
  speaks: (site) => {
    const { richThicknessUm, veryRichThicknessUm } = site.handbook.constants;
    const h = site.film.thicknessUm;
    return isRich(site) && h > richThicknessUm && h <= veryRichThicknessUm
      ? { severity: 'caution', value: reduced(site) }
      : null;
  },
});

const veryRichFilm = rule({
  key: 'very-rich-film',
  title: 'Very rich and thick',
  says: 'It will wrinkle as it skins.',
  mend: 'Thin coats of it, each dry before the next.',
  source: COATINGS,
  confidence: 'medium',
  needs: 'always',
  speaks: (site) =>
    isRich(site) && site.film.thicknessUm > site.handbook.constants.veryRichThicknessUm
      ? { severity: 'strong', value: reduced(site) }
      : null,
});

const cobaltThick = rule({
  key: 'cobalt-thick',
  title: 'Cobalt drier in thick paint',
  says: 'Cobalt dries the skin and leaves the inside: it wrinkles.',
  mend: 'Leave the cobalt out, or lay it below 150 µm.',
  source: COATINGS,
  confidence: 'medium',
  needs: 'additives',
  speaks: ({ film, handbook }) =>
    film.traits.cobalt && film.thicknessUm > handbook.constants.cobaltThickUm
      ? { severity: 'caution' }
      : null,
});

const drierPaleThick = rule({
  key: 'drier-pale-thick',
  title: 'Drier in a thick pale coat',
  says: 'Cobalt and manganese colour a pale film and wrinkle a thick one.',
  mend: 'Leave the drier out of thick lights.',
  source: COATINGS,
  confidence: 'medium',
  needs: 'additives',
  speaks: ({ film, handbook }) =>
    film.traits.colouringDrier &&
    film.traits.pale &&
    film.thicknessUm > handbook.constants.drierPaleThickUm
      ? { severity: 'caution' }
      : null,
});

const drierOverdose = rule({
  key: 'drier-overdose',
  title: 'Too much drier',
  says: 'More than 2 % of the paint makes it crack.',
  mend: 'Drops, not spoons: follow the label.',
  source: COATINGS,
  confidence: 'medium',
  needs: 'additives',
  speaks: ({ film, handbook }) =>
    film.traits.drierShare > handbook.constants.drierMaxShare + ROUNDING
      ? { severity: 'forbid', value: film.traits.drierShare }
      : null,
});

const drierSeveralCoats = rule({
  key: 'drier-several-coats',
  title: 'Drier in several coats',
  says: 'One drier-laden coat on another cracks.',
  mend: 'Drier in one coat at most; let the rest dry by itself or use alkyd.',
  source: COATINGS,
  confidence: 'medium',
  needs: 'additives',
  speaks: ({ film, below }) =>
    film.traits.drierShare > 0 && below.drier !== null
      ? { severity: 'caution', about: below.drier }
      : null,
});

const cloveOverdose = rule({
  key: 'clove-overdose',
  title: 'Much oil of cloves',
  says: 'Over 2 % it stays open for months and bites what lies below.',
  mend: 'Half a per cent is plenty.',
  source: JUDGEMENT,
  confidence: 'low',
  needs: 'additives',
  speaks: ({ film, handbook }) =>
    film.kept.cloveWtPct > handbook.constants.cloveCautionPct
      ? { severity: 'caution', value: film.kept.cloveWtPct }
      : null,
});

const cloveBelow = rule({
  key: 'clove-below',
  title: 'Oil of cloves in a coat below',
  says: 'A base that stays soft for years.',
  mend: 'Keep oil of cloves for the last coats; here wait two to five times as long.',
  source: JUDGEMENT,
  confidence: 'low',
  needs: 'additives',
  speaks: ({ film, below }) =>
    film.traits.oilFilm && below.clove !== null
      ? { severity: 'caution', about: below.clove }
      : null,
});

const resinHigh = rule({
  key: 'resin-high',
  title: 'Much resin in the binder',
  says: 'Over 15 % natural resin stays soluble, cracks and darkens.',
  mend: 'Half the varnish in the medium, or stand oil in its place.',
  source: JUDGEMENT,
  confidence: 'low',
  needs: 'additives',
  speaks: ({ film, handbook }) =>
    film.traits.oilFilm &&
    !film.traits.mediumOnly &&
    film.composition.resinOfBinder > handbook.constants.resinMaxOfBinder
      ? { severity: 'caution', value: film.composition.resinOfBinder }
      : null,
});

const balsamHigh = rule({
  key: 'balsam-high',
  title: 'Much balsam in the medium',
  says: 'Over a tenth of balsam leaves the film soft and sticky.',
  mend: 'Five to ten per cent of the medium at most.',
  source: JUDGEMENT,
  confidence: 'low',
  needs: 'additives',
  speaks: ({ film, handbook }) =>
    film.traits.balsamOfMedium > handbook.constants.balsamMaxOfMedium
      ? { severity: 'caution', value: film.traits.balsamOfMedium }
      : null,
});

const waxHigh = rule({
  key: 'wax-high',
  title: 'Much wax in the film',
  says: 'Wax softens at 35 to 45 °C and stays soluble in spirits.',
  mend: 'A tenth of the film on canvas, a quarter on a panel.',
  source: JUDGEMENT,
  confidence: 'low',
  needs: 'additives',
  speaks: ({ film, support, handbook }) => {
    const { waxFlexibleMax, waxRigidMax } = handbook.constants;
    const bends = FLEXIBLE.has(support.kind);
    const wax = film.composition.waxOfFilm;
    return wax > (bends ? waxFlexibleMax : waxRigidMax)
      ? { severity: 'caution', value: wax }
      : null;
  },
});

const extenderHigh = rule({
  key: 'extender-high',
  title: 'Much extender',
  says: 'Soft, sensitive to water and solvent; the reckoning of its binder is unsure.',
  mend: 'Take a paint with less filler for lasting coats.',
  source: JUDGEMENT,
  confidence: 'low',
  needs: 'always',
  speaks: ({ film, handbook }) =>
    film.traits.extenderShare >= handbook.constants.extenderCaution
      ? { severity: 'caution', value: film.traits.extenderShare }
      : null,
});

const stearateHigh = rule({
  key: 'stearate-high',
  title: 'Much aluminium stearate',
  says: 'Over 3 % it makes a buttery paint of much oil: soft, sensitive to water and solvent; the reckoning of its binder is unsure.',
  mend: 'Take a paint with less of it for coats that others lie on.',
  source: 'makers add 1-3 %; advice of conservators; from memory',
  confidence: 'low',
  needs: 'always',
  speaks: ({ film, handbook }) =>
    film.traits.oilFilm &&
    film.traits.stearateShare > handbook.constants.stearateMaxShare + ROUNDING
      ? { severity: 'caution', value: film.traits.stearateShare }
      : null,
});

const waterThinned = rule({
  key: 'water-thinned',
  title: 'Thinned with much water',
  says: 'Underbound, with water shut in.',
  mend: 'Less water; a night and touch-dry before the next coat.',
  source: JUDGEMENT,
  confidence: 'low',
  needs: 'additives',
  speaks: ({ film, handbook, top }) =>
    film.traits.waterMixable && !top && film.traits.water > handbook.constants.waterMaxShare
      ? { severity: 'caution', value: film.traits.water }
      : null,
});

const ordinaryOilInWaterMixable = rule({
  key: 'ordinary-oil-in-water-mixable',
  title: 'Ordinary oil in water-mixable paint',
  says: 'Over three tenths of ordinary oil it no longer mixes with water; it dries as oil does.',
  mend: 'Thin and clean with spirits from here on.',
  source: PRACTICE,
  confidence: 'medium',
  needs: 'additives',
  speaks: ({ film, handbook }) =>
    film.traits.ordinaryOilShare > handbook.constants.ordinaryOilInWaterMixable
      ? { severity: 'note', value: film.traits.ordinaryOilShare }
      : null,
});

const alkydInWaterMixable = rule({
  key: 'alkyd-in-water-mixable',
  title: 'Ordinary alkyd in water-mixable paint',
  says: 'It no longer takes water and may curdle with it; it dries as alkyd does.',
  mend: 'No water in this mix from here on: thin and clean with spirits, or take an alkyd medium made for it.',
  source: PRACTICE,
  confidence: 'medium',
  needs: 'additives',
  speaks: ({ film }) =>
    film.traits.waterMixable && film.kept.alkydMedium > 0
      ? { severity: film.traits.water > 0 ? 'caution' : 'note' }
      : null,
});

const waterSensitive = rule({
  key: 'water-sensitive',
  title: 'Water-mixable paint on top',
  says: 'The film can stay sensitive to water.',
  mend: 'Try a damp swab in a corner before varnish or cleaning.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'additives',
  // What whoever cleans it has to know; nothing is wrong with laying it.
  speaks: ({ film, top }) => (top && film.traits.waterMixable ? { severity: 'note' } : null),
});

const noWetCleaning = rule({
  key: 'no-wet-cleaning',
  title: 'No wet cleaning untested',
  says: 'Cadmium, ultramarine and some ochre films can bloom or rub off with water.',
  mend: 'Dust it dry; test before any wet cleaning.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'always',
  speaks: ({ film, top }) =>
    top && film.traits.oilFilm && !film.traits.waterMixable && film.traits.waterSensitive
      ? { severity: 'note' }
      : null,
});

const bitumen = rule({
  key: 'bitumen',
  title: 'Bitumen or megilp',
  says: 'It never comes to rest: it wrinkles, crawls and blackens, and takes the coats on it along.',
  mend: 'Glaze with transparent iron oxides instead; stand oil or alkyd gel for body.',
  source: 'Carlyle, The Artist’s Assistant; from memory',
  confidence: 'high',
  needs: 'always',
  speaks: ({ film, below }) =>
    film.traits.bitumen
      ? { severity: 'forbid' }
      : below.bitumen !== null && film.traits.oilFilm
        ? { severity: 'forbid', about: below.bitumen }
        : null,
});

/** In the order in which they are told among equals. */
export const FILM_RULES = [
  underbound,
  nearlyUnderbound,
  sinkingIn,
  mediumOverQuarter,
  mediumOverThird,
  mostlyMediumGlaze,
  richFilm,
  veryRichFilm,
  cobaltThick,
  drierPaleThick,
  drierOverdose,
  drierSeveralCoats,
  cloveOverdose,
  cloveBelow,
  resinHigh,
  balsamHigh,
  waxHigh,
  extenderHigh,
  stearateHigh,
  waterThinned,
  ordinaryOilInWaterMixable,
  alkydInWaterMixable,
  waterSensitive,
  noWetCleaning,
  bitumen,
] as const;
