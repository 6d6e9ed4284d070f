import type { RuleSite } from './types';
import { CONSERVATORS } from './sources';
import { rule } from './rule';

/** Acrylic, gesso, water-borne varnish, latex: what is water-borne and stays so. */
const isMaterial = (site: RuleSite, material: string): boolean =>
  site.film.kept.material === material;

const acrylicOverOil = rule({
  key: 'acrylic-over-oil',
  title: 'Acrylic over oil',
  says: 'Acrylic does not hold on oil: no grip, another stiffness, and it peels.',
  mend: 'Use oil from here on; no waiting helps.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'always',
  speaks: (site) =>
    site.film.traits.acrylic && site.below.oil
      ? { severity: 'forbid', about: site.below.direct?.name ?? null }
      : null,
});

const gessoOverOil = rule({
  key: 'gesso-over-oil',
  title: 'Acrylic gesso or medium over oil',
  says: 'It is acrylic: on an oil ground or an old oil picture it does not hold.',
  mend: 'Prime with an oil or alkyd ground, or paint on the old surface in oil.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'other-stuff',
  speaks: (site) =>
    (isMaterial(site, 'acrylic-gesso') || isMaterial(site, 'acrylic-medium')) && site.below.oil
      ? { severity: 'forbid' }
      : null,
});

const waterborneVarnishOverOil = rule({
  key: 'waterborne-varnish-over-oil',
  title: 'Water-borne varnish over oil',
  says: 'A dispersion varnish does not hold on oil and cannot be taken off without harm.',
  mend: 'Use a solvent-borne picture varnish when the film is ready.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: (site) =>
    isMaterial(site, 'waterborne-varnish') && site.below.oil ? { severity: 'forbid' } : null,
});

/** Dose that oil waits for on acrylic paint of this thickness, um: days at 50 % RH, of which cold hours are none. */
export const oilOverAcrylicDays = (site: RuleSite, thicknessUm: number): number => {
  const c = site.handbook.constants;
  return Math.max(c.oilOverAcrylicDays, (c.oilOverAcrylicDaysPer100um * thicknessUm) / 100);
};

const oilOverAcrylicPaint = rule({
  key: 'oil-over-acrylic-paint',
  title: 'Oil over acrylic paint',
  says: 'Water is still leaving the acrylic; oil on it now grips badly.',
  mend: 'Wait a day for thin acrylic, three days for every tenth of a millimetre.',
  source: 'usual advice 24-72 h, thick acrylic 1-2 weeks; from memory',
  confidence: 'medium',
  needs: 'something-below',
  speaks: (site) => {
    const { film, below, atMs } = site;
    const lower = below.body;
    if (!film.traits.oilFilm || !lower?.traits.acrylic || lower.laidAtMs === null) return null;
    const ready = site.bodyHasHad(oilOverAcrylicDays(site, lower.thicknessUm));
    return ready === null || ready > atMs
      ? { severity: 'caution', about: lower.name, untilMs: ready }
      : null;
  },
});

const acrylicThinned = rule({
  key: 'acrylic-thinned',
  title: 'Acrylic thinned with much water',
  says: 'Over six tenths of water the polymer no longer joins: a wash that rubs off, and takes what lies on it along.',
  mend: 'Rub it when dry; where it comes off, seal it with thin acrylic medium. Thin with medium in place of water.',
  source: 'film formation of acrylic dispersions; common practice, no source',
  confidence: 'medium',
  needs: 'always',
  speaks: ({ film, handbook }) =>
    film.traits.acrylic && film.composition.mediumShare > handbook.constants.acrylicWaterMaxShare
      ? { severity: 'caution', value: film.composition.mediumShare }
      : null,
});

const acrylicCold = rule({
  key: 'acrylic-cold',
  title: 'Acrylic below 10 °C',
  says: 'Acrylic forms no sound film in the cold.',
  mend: 'Warm the room above 10 °C, and wait until it has dried there.',
  source: 'film formation of acrylic dispersions; from memory',
  confidence: 'medium',
  needs: 'always',
  speaks: ({ film, climate, handbook }) =>
    (film.traits.acrylic || film.kept.material === 'acrylic-gesso') &&
    film.planned &&
    climate.temperatureC < handbook.constants.acrylicTemperatureMinC
      ? { severity: 'caution', value: climate.temperatureC }
      : null,
});

/** In the order in which they are told among equals. */
export const DISPERSION_RULES = [
  acrylicOverOil,
  gessoOverOil,
  waterborneVarnishOverOil,
  oilOverAcrylicPaint,
  acrylicThinned,
  acrylicCold,
] as const;
