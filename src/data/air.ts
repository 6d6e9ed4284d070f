import type { Confidence, ConstantRow } from './constants';
import type { IngredientKey } from './ingredients';
import { lowRow, valuesOf } from './rows';

/** What evaporates in a studio, its limits, and the room. A planning aid: the safety data sheet and local rules govern. */
const row = (value: number, unit: string, source: string, confidence: Confidence): ConstantRow => ({
  value,
  unit,
  source,
  confidence,
});

export const VAPOUR_KEYS = [
  'white-spirit',
  'odourless',
  'turpentine',
  'limonene',
  'spike',
] as const;
export type VapourKey = (typeof VAPOUR_KEYS)[number];

export interface Limit {
  mgM3: number;
  by: string;
  confidence: Confidence;
}

export interface Vapour {
  name: string;
  /** g/mol */
  molarMass: number;
  densityGPerMl: number;
  /** At 20 C, kPa: from and to. */
  pressureKPa: readonly [number, number];
  /** For a working day of eight hours; the strictest first. */
  limits: readonly Limit[];
  source: string;
}

const PRESSURES = 'NIOSH pocket guide and usual safety data sheets; from memory, medium';

/** ppm to mg/m3 at 25 C and 1 atm: ppm * M / 24.45. */
const ppm = (value: number, molarMass: number): number => (value * molarMass) / 24.45;
const M_TURPENTINE = 136.23;
const M_SPIRITS = 142;
const SPIRIT_LIMITS: readonly Limit[] = [
  { mgM3: 116, by: 'EU scientific committee (20 ppm), white spirit', confidence: 'low' },
  { mgM3: 350, by: 'NIOSH REL', confidence: 'high' },
  { mgM3: 525, by: 'ACGIH TLV (100 ppm)', confidence: 'high' },
  { mgM3: 2900, by: 'OSHA PEL (500 ppm)', confidence: 'high' },
];

export const VAPOURS: Record<VapourKey, Vapour> = {
  'white-spirit': {
    name: 'white spirit',
    molarMass: M_SPIRITS,
    densityGPerMl: 0.78,
    pressureKPa: [0.2, 0.4],
    limits: SPIRIT_LIMITS,
    source: PRESSURES,
  },
  odourless: {
    name: 'odourless spirits',
    molarMass: M_SPIRITS,
    densityGPerMl: 0.77,
    pressureKPa: [0.03, 0.15],
    // No limit of their own: the strictest of the spirits is held against them.
    limits: SPIRIT_LIMITS,
    source: PRESSURES,
  },
  turpentine: {
    name: 'turpentine',
    molarMass: M_TURPENTINE,
    densityGPerMl: 0.865,
    pressureKPa: [0.4, 0.6],
    limits: [
      { mgM3: ppm(20, M_TURPENTINE), by: 'ACGIH TLV (20 ppm)', confidence: 'high' },
      { mgM3: 560, by: 'NIOSH REL and OSHA PEL (100 ppm)', confidence: 'high' },
    ],
    source: PRESSURES,
  },
  limonene: {
    name: 'citrus spirit',
    molarMass: M_TURPENTINE,
    densityGPerMl: 0.84,
    pressureKPa: [0.15, 0.25],
    limits: [
      { mgM3: 28, by: 'German limit (5 ppm)', confidence: 'medium' },
      { mgM3: ppm(30, M_TURPENTINE), by: 'AIHA WEEL (30 ppm)', confidence: 'high' },
    ],
    source: PRESSURES,
  },
  spike: {
    name: 'spike oil',
    molarMass: 154.25,
    densityGPerMl: 0.89,
    pressureKPa: [0.05, 0.15],
    limits: [{ mgM3: 28, by: 'held as citrus spirit: German limit (5 ppm)', confidence: 'low' }],
    source: PRESSURES,
  },
};

/** What the volatile part of an ingredient is. What is not named gives off none, or water. */
export const VAPOUR_OF: Partial<Record<IngredientKey, VapourKey>> = {
  'mineral-spirits': 'odourless',
  'white-spirit': 'white-spirit',
  turpentine: 'turpentine',
  'spike-oil': 'spike',
  'clove-oil': 'spike',
  'citrus-spirit': 'limonene',
  'damar-varnish': 'turpentine',
  'mastic-varnish': 'turpentine',
  megilp: 'turpentine',
  'larch-balsam': 'turpentine',
  'canada-balsam': 'turpentine',
  'copaiba-balsam': 'turpentine',
  'alkyd-medium': 'odourless',
  'alkyd-gel': 'odourless',
  'cold-wax': 'odourless',
  'cobalt-drier': 'odourless',
  'manganese-drier': 'odourless',
  'lead-drier': 'odourless',
  'zirconium-drier': 'odourless',
  'calcium-drier': 'odourless',
  siccative: 'odourless',
};

export const AIR_ROWS = {
  gasConstant: row(8.314, 'J/(mol K)', 'SI', 'high'),
  referenceK: row(293.15, 'K', 'convention: 20 C', 'high'),
  /** The painter's head and hands: a half sphere before the picture. */
  nearRadiusLeastM: lowRow(0.5, 'm', "arm's length; judgement"),
  nearRadiusMostM: lowRow(1, 'm', "arm's length and a step; judgement"),
  /** Speed of air across the border of the near field. */
  airSpeedLeastMPerH: row(
    180,
    'm/h',
    '3 m/min, still room: Keil and others, AIHA; from memory',
    'medium',
  ),
  airSpeedMostMPerH: row(
    900,
    'm/h',
    '15 m/min, lively room: Keil and others, AIHA; from memory',
    'medium',
  ),
  /** Mass transfer from an open dish. */
  dishTransferLeastMPerH: lowRow(
    3.6,
    'm/h',
    '0.001 m/s, still air; judgement on evaporation models',
  ),
  dishTransferMostMPerH: lowRow(21.6, 'm/h', '0.006 m/s, draught; judgement on evaporation models'),
  /** A thinned film has given up its solvent after so long. */
  filmHoursLeast: lowRow(0.5, 'h'),
  filmHoursMost: lowRow(3, 'h'),
  /** Of what is brushed out in a jar and wiped on a rag, how much comes into the room while one paints. */
  washedShareLeast: lowRow(0.1, 'share'),
  washedShareMost: lowRow(1, 'share'),
  /** Solvent of a picture varnish as it is brushed. */
  varnishSolventShare: lowRow(0.75, 'share of the volume', 'usual solids of picture varnish'),
  shiftHours: row(8, 'h', 'working day of the limits', 'high'),
  mixingLeast: row(3, 'factor', 'mixing factor K 3 to 10, industrial hygiene; from memory', 'high'),
  mixingMost: row(10, 'factor', 'mixing factor K 3 to 10, industrial hygiene; from memory', 'high'),
  /** The room is told to be back when both zones have fallen to this share of the strictest limit. */
  backShare: lowRow(0.05, 'share of the limit'),
  longestHours: lowRow(72, 'h', 'longer is not foretold'),
} satisfies Record<string, ConstantRow>;
export const AIR_OF_ROOM = valuesOf(AIR_ROWS);

/** A small room, its window shut to ajar, until it is said otherwise; m3, changes an hour. Judgement, low. */
export const USUAL_ROOM = { volumeM3: 40, changesLeast: 0.3, changesMost: 2 } as const;

/** Common practice beside any figure. None of it says that anything is safe. */
export const AIR_ADVICE = [
  'Lids on, a small dish, one window low and one high: the vapour is heavier than air and lies on the floor.',
  'Low odour is not low exposure; the nose tires within minutes.',
  'No sanding of lead paint at home. Other paint is sanded wet, with a P100 or FFP3 mask, and wiped up damp.',
  'Rags, gloves, paper, scrapings: dry flat, unstacked, outdoors, away from buildings, or under water in a closed metal can.',
  'Away from flames, heaters and switches; children and pregnant people out of the room.',
] as const;
