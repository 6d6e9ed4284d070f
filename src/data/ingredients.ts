import type { Confidence } from './constants';
import { OIL_KEYS, OILS, type OilKey } from './oils';

/**
 * What a medium is made of. `solids` splits one volume of the ingredient into what stays in the
 * film, by kind; the rest leaves as vapour.
 */
export interface Ingredient {
  key: IngredientKey;
  name: string;
  kind: 'oil' | 'resin-varnish' | 'alkyd' | 'solvent';
  densityGPerMl: number;
  solids: { oil?: OilKey; oilFraction: number; resinFraction: number; alkydFraction: number };
  /** Water in place of an organic solvent. */
  aqueous?: boolean;
  caution?: string;
  source: string;
  confidence: Confidence;
}

export const SOLVENT_KEYS = ['mineral-spirits', 'turpentine', 'spike-oil', 'water'] as const;
export const OTHER_INGREDIENT_KEYS = ['damar-varnish', 'alkyd-medium', 'alkyd-gel'] as const;
export const INGREDIENT_KEYS = [...OIL_KEYS, ...OTHER_INGREDIENT_KEYS, ...SOLVENT_KEYS] as const;
export type IngredientKey = (typeof INGREDIENT_KEYS)[number];

/** Densities of what stays, g/ml at 20 C: Gettens & Stout (damar), supplier sheets (alkyd resin); from memory. */
export const SOLID_DENSITY_G_PER_ML = { damar: 1.06, alkyd: 1.03 } as const;

const NONE = { oilFraction: 0, resinFraction: 0, alkydFraction: 0 };
const GOVERNS = 'The safety data sheet and local rules govern.';
const SOLVENT_CAUTION = `Solvent vapour: low odour is not low exposure. Air the room, keep lids on, no bare skin. ${GOVERNS}`;
const SKIN_CAUTION = `Vapour and skin contact can sensitise. Air the room, wear nitrile gloves. ${GOVERNS}`;

/** Volume fraction of resin in a damar varnish of 33 % by weight: 33/1.06 over 33/1.06 + 67/0.865. */
const DAMAR_33_VOLUME = 33 / 1.06 / (33 / 1.06 + 67 / 0.865);
const DAMAR_33_DENSITY = 100 / (33 / 1.06 + 67 / 0.865);
/** Alkyd resin of density 1.03 in spirits of 0.78, by weight % solids to volume fraction and density. */
const alkydVolume = (wt: number) => wt / 1.03 / (wt / 1.03 + (100 - wt) / 0.78);
const alkydDensity = (wt: number) => 100 / (wt / 1.03 + (100 - wt) / 0.78);

const oils = Object.fromEntries(
  OIL_KEYS.map((key) => [
    key,
    {
      key,
      name: OILS[key].name,
      kind: 'oil' as const,
      densityGPerMl: OILS[key].densityGPerMl,
      solids: { ...NONE, oil: key, oilFraction: 1 },
      source: OILS[key].source,
      confidence: OILS[key].confidence,
    },
  ]),
) as Record<OilKey, Ingredient>;

export const INGREDIENTS: Record<IngredientKey, Ingredient> = {
  ...oils,
  'damar-varnish': {
    key: 'damar-varnish',
    name: 'damar varnish, 33 %',
    kind: 'resin-varnish',
    densityGPerMl: DAMAR_33_DENSITY,
    solids: { ...NONE, resinFraction: DAMAR_33_VOLUME },
    caution: SKIN_CAUTION,
    source: 'resin 1.06, turpentine 0.865 g/ml: Gettens & Stout; from memory',
    confidence: 'high',
  },
  'alkyd-medium': {
    key: 'alkyd-medium',
    name: 'alkyd glazing medium',
    kind: 'alkyd',
    densityGPerMl: alkydDensity(50),
    solids: { ...NONE, alkydFraction: alkydVolume(50) },
    caution: SOLVENT_CAUTION,
    source: 'solids 40-60 % by weight, usual data sheets; from memory',
    confidence: 'medium',
  },
  'alkyd-gel': {
    key: 'alkyd-gel',
    name: 'alkyd gel',
    kind: 'alkyd',
    densityGPerMl: alkydDensity(45),
    solids: { ...NONE, alkydFraction: alkydVolume(45) },
    caution: SOLVENT_CAUTION,
    source: 'solids 35-60 % by weight, usual data sheets; from memory',
    confidence: 'low',
  },
  'mineral-spirits': {
    key: 'mineral-spirits',
    name: 'mineral spirits',
    kind: 'solvent',
    densityGPerMl: 0.77,
    solids: NONE,
    caution: SOLVENT_CAUTION,
    source: 'odourless grade, 0.75-0.78 g/ml; from memory',
    confidence: 'high',
  },
  turpentine: {
    key: 'turpentine',
    name: 'turpentine',
    kind: 'solvent',
    densityGPerMl: 0.865,
    solids: NONE,
    caution: SKIN_CAUTION,
    source: 'ASTM D13 gum spirits, 0.855-0.872 g/ml; from memory',
    confidence: 'high',
  },
  'spike-oil': {
    key: 'spike-oil',
    name: 'spike oil',
    kind: 'solvent',
    densityGPerMl: 0.9,
    solids: NONE,
    caution: SKIN_CAUTION,
    source: '0.88-0.91 g/ml; from memory',
    confidence: 'medium',
  },
  water: {
    key: 'water',
    name: 'water',
    kind: 'solvent',
    aqueous: true,
    densityGPerMl: 0.998,
    solids: NONE,
    source: 'CRC Handbook; from memory',
    confidence: 'high',
  },
};
