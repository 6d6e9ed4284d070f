import type { Confidence } from './constants';
import type { DrierKey } from './driers';
import { OIL_KEYS, OILS, type OilKey } from './oils';

/** What stays of one volume of an ingredient, by kind; the rest leaves as vapour. */
export interface Solids {
  oil?: OilKey;
  oilFraction: number;
  /** Natural and soft resins, balsams included. */
  resinFraction: number;
  alkydFraction: number;
  waxFraction: number;
  /** Mass of what stays, per ml of the ingredient; oils are reckoned by their own density. */
  solidsGPerMl: number;
}

/** A solution whose strength the maker or the painter sets: solids by weight. */
export interface Strength {
  into: 'resinFraction' | 'alkydFraction' | 'waxFraction';
  solidDensityGPerMl: number;
  solventDensityGPerMl: number;
  usualWtPct: number;
  rangeWtPct: [number, number];
}

export const INGREDIENT_KINDS = [
  'oil',
  'resin-varnish',
  'alkyd',
  'wax',
  'balsam',
  'solvent',
  'drier',
  'retarder',
  'historic',
] as const;
export type IngredientKind = (typeof INGREDIENT_KINDS)[number];

/** How hard the vapour part of an ingredient bites into young paint; null where nothing evaporates. */
export type SolventPower = 'mild' | 'strong' | 'water' | null;

export interface Ingredient {
  key: IngredientKey;
  name: string;
  kind: IngredientKind;
  densityGPerMl: number;
  solids: Solids;
  solvent: SolventPower;
  /** Set where the share of solids may be changed. */
  strength?: Strength;
  drier?: DrierKey;
  /** Water in place of an organic solvent. */
  aqueous?: boolean;
  caution?: string;
  source: string;
  confidence: Confidence;
}

export const SOLVENT_KEYS = [
  'mineral-spirits',
  'white-spirit',
  'turpentine',
  'spike-oil',
  'citrus-spirit',
  'water',
] as const;
export const OTHER_INGREDIENT_KEYS = [
  'damar-varnish',
  'mastic-varnish',
  'alkyd-medium',
  'alkyd-gel',
  'cold-wax',
  'beeswax',
  'carnauba',
  'larch-balsam',
  'canada-balsam',
  'copaiba-balsam',
  'clove-oil',
  'cobalt-drier',
  'manganese-drier',
  'lead-drier',
  'zirconium-drier',
  'calcium-drier',
  'siccative',
  'megilp',
] as const;
export const INGREDIENT_KEYS = [...OIL_KEYS, ...OTHER_INGREDIENT_KEYS, ...SOLVENT_KEYS] as const;
export type IngredientKey = (typeof INGREDIENT_KEYS)[number];

/** Densities of what stays, g/ml at 20 C: Gettens & Stout (resins, waxes), supplier sheets (alkyd); from memory. */
export const SOLID_DENSITY_G_PER_ML = { damar: 1.06, alkyd: 1.03, beeswax: 0.96 } as const;
const SPIRITS_DENSITY = 0.77;
const TURPENTINE_DENSITY = 0.865;
/** The solvent of alkyd mediums, a light petroleum cut. */
const ALKYD_SOLVENT_DENSITY = 0.78;

const GOVERNS = 'The safety data sheet and local rules govern.';
const SOLVENT_CAUTION = `Solvent vapour: low odour is not low exposure. Air the room, keep lids on, no bare skin. Rags lie flat outdoors, unstacked, or under water in a closed metal can. ${GOVERNS}`;
const SKIN_CAUTION = `Vapour and skin contact can sensitise. Air the room, wear nitrile gloves. Rags lie flat outdoors, unstacked, or under water in a closed metal can. ${GOVERNS}`;
const COBALT_CAUTION = `Cobalt: sensitises skin and may cause cancer. Nitrile gloves, never on the fingers; drops, not spoons. ${GOVERNS}`;
const MANGANESE_CAUTION = `Manganese: harmful to the nerves when taken in again and again. Nitrile gloves, keep from children. ${GOVERNS}`;
const LEAD_CAUTION = `Lead: poisonous, builds up in the body; not for homes with children or in pregnancy, restricted in many places. Nitrile gloves, wash hands. ${GOVERNS}`;
const RAG_CAUTION = `Drying oil on rags can set them alight by itself: lay them flat outdoors, unstacked, or under water in a closed metal can. ${GOVERNS}`;

const NONE: Solids = {
  oilFraction: 0,
  resinFraction: 0,
  alkydFraction: 0,
  waxFraction: 0,
  solidsGPerMl: 0,
};

/** What stays of a solution of `wtPct` solids by weight, and its density: volumes of solids and solvent add. */
export function solutionOf(
  strength: Strength,
  wtPct: number,
): { solids: Solids; densityGPerMl: number } {
  const solidMl = wtPct / strength.solidDensityGPerMl;
  const totalMl = solidMl + (100 - wtPct) / strength.solventDensityGPerMl;
  const densityGPerMl = 100 / totalMl;
  return {
    solids: {
      ...NONE,
      [strength.into]: solidMl / totalMl,
      solidsGPerMl: (densityGPerMl * wtPct) / 100,
    },
    densityGPerMl,
  };
}

const oils = Object.fromEntries(
  OIL_KEYS.map((key) => [
    key,
    {
      key,
      name: OILS[key].name,
      kind: 'oil' as const,
      densityGPerMl: OILS[key].densityGPerMl,
      solids: { ...NONE, oil: key, oilFraction: 1, solidsGPerMl: OILS[key].densityGPerMl },
      solvent: null,
      caution: RAG_CAUTION,
      source: OILS[key].source,
      confidence: OILS[key].confidence,
    },
  ]),
) as Record<OilKey, Ingredient>;

type Rest = Pick<Ingredient, 'source' | 'confidence'> & Partial<Ingredient>;

const solution = (
  key: IngredientKey,
  name: string,
  kind: IngredientKind,
  strength: Strength,
  rest: Rest,
): Ingredient => ({
  key,
  name,
  kind,
  ...solutionOf(strength, strength.usualWtPct),
  strength,
  solvent: 'mild',
  caution: SOLVENT_CAUTION,
  ...rest,
});

const solvent = (
  key: IngredientKey,
  name: string,
  densityGPerMl: number,
  power: SolventPower,
  rest: Rest,
): Ingredient => ({
  key,
  name,
  kind: 'solvent',
  densityGPerMl,
  solids: NONE,
  solvent: power,
  caution: power === 'mild' ? SOLVENT_CAUTION : SKIN_CAUTION,
  ...rest,
});

/** All of it stays, as wax or as resin. */
const solid = (
  key: IngredientKey,
  name: string,
  kind: 'wax',
  densityGPerMl: number,
  rest: Rest,
): Ingredient => ({
  key,
  name,
  kind,
  densityGPerMl,
  solids: { ...NONE, waxFraction: 1, solidsGPerMl: densityGPerMl },
  solvent: null,
  ...rest,
});

/** A balsam: resin in its own volatile terpenes, which counts as resin. */
const balsam = (
  key: IngredientKey,
  name: string,
  densityGPerMl: number,
  volumeFraction: number,
  weightFraction: number,
  rest: Rest,
): Ingredient => ({
  key,
  name,
  kind: 'balsam',
  densityGPerMl,
  solids: {
    ...NONE,
    resinFraction: volumeFraction,
    solidsGPerMl: weightFraction * densityGPerMl,
  },
  solvent: 'strong',
  caution: SKIN_CAUTION,
  ...rest,
});

/** A drier as sold: metal soap in spirits; what stays of it is too little to count as film. */
const drier = (
  key: IngredientKey & DrierKey,
  name: string,
  caution: string,
  rest: Rest,
): Ingredient => ({
  key,
  name,
  kind: 'drier',
  densityGPerMl: 0.87,
  solids: NONE,
  solvent: 'mild',
  drier: key,
  caution,
  ...rest,
});

const damar: Strength = {
  into: 'resinFraction',
  solidDensityGPerMl: SOLID_DENSITY_G_PER_ML.damar,
  solventDensityGPerMl: TURPENTINE_DENSITY,
  usualWtPct: 33,
  rangeWtPct: [5, 60],
};
const alkyd = (usualWtPct: number, rangeWtPct: [number, number]): Strength => ({
  into: 'alkydFraction',
  solidDensityGPerMl: SOLID_DENSITY_G_PER_ML.alkyd,
  solventDensityGPerMl: ALKYD_SOLVENT_DENSITY,
  usualWtPct,
  rangeWtPct,
});
const DRIER_SOURCE =
  'metal soaps in spirits as sold, density about 0.85-0.90; used by the drop: Wicks, Jones & Pappas; from memory';

const OTHERS: Ingredient[] = [
  solution('damar-varnish', 'damar varnish', 'resin-varnish', damar, {
    solvent: 'strong',
    caution: SKIN_CAUTION,
    source: 'resin 1.06, turpentine 0.865 g/ml: Gettens & Stout; from memory',
    confidence: 'high',
  }),
  solution(
    'mastic-varnish',
    'mastic varnish',
    'resin-varnish',
    { ...damar, usualWtPct: 33 },
    {
      solvent: 'strong',
      caution: SKIN_CAUTION,
      source: 'resin 1.05-1.08 g/ml: Gettens & Stout; from memory',
      confidence: 'medium',
    },
  ),
  solution('alkyd-medium', 'alkyd glazing medium', 'alkyd', alkyd(50, [30, 70]), {
    source: 'solids 40-60 % by weight, usual data sheets; from memory',
    confidence: 'medium',
  }),
  solution('alkyd-gel', 'alkyd gel', 'alkyd', alkyd(45, [30, 70]), {
    source: 'solids 35-60 % by weight, usual data sheets; from memory',
    confidence: 'low',
  }),
  solution(
    'cold-wax',
    'cold wax medium',
    'wax',
    {
      into: 'waxFraction',
      solidDensityGPerMl: SOLID_DENSITY_G_PER_ML.beeswax,
      solventDensityGPerMl: SPIRITS_DENSITY,
      usualWtPct: 33.3,
      rangeWtPct: [15, 60],
    },
    {
      source: '1 part beeswax to 2 or 3 of spirits by weight, studio recipes; from memory',
      confidence: 'low',
    },
  ),
  solid('beeswax', 'beeswax', 'wax', SOLID_DENSITY_G_PER_ML.beeswax, {
    source: '0.95-0.97 g/ml, melts 61-66 C: Gettens & Stout; from memory',
    confidence: 'high',
  }),
  solid('carnauba', 'carnauba wax', 'wax', 0.995, {
    source: '0.99-1.00 g/ml, melts 82-86 C: Gettens & Stout; from memory',
    confidence: 'medium',
  }),
  balsam('larch-balsam', 'larch balsam (Venice turpentine)', 1.02, 0.76, 0.8, {
    source: '75-85 wt % stays, 0.98-1.05 g/ml; from memory',
    confidence: 'medium',
  }),
  balsam('canada-balsam', 'Canada balsam', 0.99, 0.76, 0.8, {
    source: '75-84 wt % stays, 0.98-1.00 g/ml; volume share as larch balsam; from memory',
    confidence: 'medium',
  }),
  balsam('copaiba-balsam', 'copaiba balsam', 0.955, 0.46, 0.5, {
    source: '30-70 wt % stays, mostly sesquiterpenes, variable; from memory',
    confidence: 'low',
  }),
  {
    key: 'clove-oil',
    name: 'oil of cloves',
    kind: 'retarder',
    densityGPerMl: 1.05,
    solids: NONE,
    solvent: 'strong',
    caution: SKIN_CAUTION,
    source: 'eugenol 70-90 %, slowly volatile, 1.04-1.07 g/ml; from memory',
    confidence: 'high',
  },
  drier('cobalt-drier', 'cobalt drier', COBALT_CAUTION, {
    source: DRIER_SOURCE,
    confidence: 'low',
  }),
  drier('manganese-drier', 'manganese drier', MANGANESE_CAUTION, {
    source: DRIER_SOURCE,
    confidence: 'low',
  }),
  drier('lead-drier', 'lead drier', LEAD_CAUTION, { source: DRIER_SOURCE, confidence: 'low' }),
  drier('zirconium-drier', 'zirconium drier', SOLVENT_CAUTION, {
    source: DRIER_SOURCE,
    confidence: 'low',
  }),
  drier('calcium-drier', 'calcium drier', SOLVENT_CAUTION, {
    source: DRIER_SOURCE,
    confidence: 'low',
  }),
  drier('siccative', 'siccative, make-up unknown', COBALT_CAUTION, {
    source: DRIER_SOURCE,
    confidence: 'low',
  }),
  {
    key: 'megilp',
    name: 'megilp (mastic with lead-cooked oil)',
    kind: 'historic',
    densityGPerMl: 0.93,
    solids: {
      ...NONE,
      oil: 'boiled',
      oilFraction: 0.5,
      resinFraction: 0.145,
      solidsGPerMl: 0.5 * OILS.boiled.densityGPerMl + 0.145 * SOLID_DENSITY_G_PER_ML.damar,
    },
    solvent: 'strong',
    caution: LEAD_CAUTION,
    source:
      'equal parts of mastic varnish and lead-cooked oil: Carlyle, The Artist’s Assistant; from memory',
    confidence: 'low',
  },
  solvent('mineral-spirits', 'mineral spirits', SPIRITS_DENSITY, 'mild', {
    source: 'odourless grade, 0.75-0.78 g/ml; from memory',
    confidence: 'high',
  }),
  solvent('white-spirit', 'white spirit, with aromatics', 0.785, 'strong', {
    caution: SOLVENT_CAUTION,
    source: '0.77-0.80 g/ml, 15-20 % aromatics; from memory',
    confidence: 'medium',
  }),
  solvent('turpentine', 'turpentine', TURPENTINE_DENSITY, 'strong', {
    source: 'ASTM D13 gum spirits, 0.855-0.872 g/ml; from memory',
    confidence: 'high',
  }),
  solvent('spike-oil', 'spike oil', 0.9, 'strong', {
    source: '0.88-0.91 g/ml; from memory',
    confidence: 'medium',
  }),
  solvent('citrus-spirit', 'citrus spirit (limonene)', 0.842, 'strong', {
    source: 'd-limonene 0.84 g/ml; from memory',
    confidence: 'high',
  }),
  {
    key: 'water',
    name: 'water',
    kind: 'solvent',
    aqueous: true,
    densityGPerMl: 0.998,
    solids: NONE,
    solvent: 'water',
    source: 'CRC Handbook; from memory',
    confidence: 'high',
  },
];

export const INGREDIENTS: Record<IngredientKey, Ingredient> = {
  ...oils,
  ...(Object.fromEntries(OTHERS.map((i) => [i.key, i])) as Record<
    Exclude<IngredientKey, OilKey>,
    Ingredient
  >),
};
