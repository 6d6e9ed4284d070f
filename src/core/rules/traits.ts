import { EXTENDER_KEY } from '@/data/extender';
import {
  BLEEDERS,
  COPPER_GREENS,
  DUST_METALS,
  LEAD_WHITES,
  SULFIDES,
  WATER_SENSITIVE,
  WHITES,
} from '@/data/pigment-traits';
import { PIGMENT_ROWS } from '@/data/pigments';
import { dryingOilVolume, dryVolume, sum, type Constituents } from '../film';

/** What a film holds that the rules ask for. Shares are by volume. */
export interface Traits {
  oilFilm: boolean;
  acrylic: boolean;
  /** Of the pigments. */
  zincShare: number;
  extenderShare: number;
  pale: boolean;
  hasLead: boolean;
  hasSulfide: boolean;
  hasCopperGreen: boolean;
  bleeds: boolean;
  waterSensitive: boolean;
  dustMetals: boolean;
  bitumen: boolean;
  makeUpUnknown: boolean;
  /** Aluminium stearate that somebody named, share of the tube paint. */
  stearateShare: number;
  waterMixable: boolean;
  /** Poppy, safflower and walnut, of the drying oil. */
  slowOilShare: number;
  /** Of the drying oil, in water-mixable paint. */
  ordinaryOilShare: number;
  /** Of the wet mixture. */
  freeSolvent: number;
  strongSolvent: boolean;
  water: number;
  drierShare: number;
  cobalt: boolean;
  colouringDrier: boolean;
  /** What stays of the balsam, over the medium as added. */
  balsamOfMedium: number;
  /** Driers, clove oil, resin, wax or water are in it. */
  additives: boolean;
  /** Medium alone: a couch, or varnish. */
  mediumOnly: boolean;
}

interface PigmentTraits {
  zinc: boolean;
  dust: boolean;
  white: boolean;
}
const PIGMENTS: ReadonlyMap<string, PigmentTraits> = new Map(
  PIGMENT_ROWS.map((row) => [
    row.key,
    {
      zinc: row.reactive_zinc,
      dust: row.metals.some((m) => DUST_METALS.has(m)),
      white: WHITES.has(row.key),
    },
  ]),
);

const SLOW_OILS = ['poppy', 'safflower', 'walnut'] as const;

function slowOil(c: Constituents): number {
  let slow = 0;
  for (const key of SLOW_OILS) slow += (c.tubeOil[key] ?? 0) + (c.addedOil[key] ?? 0);
  return slow;
}

const ratio = (part: number, whole: number): number => (whole === 0 ? 0 : part / whole);

/** The traits of a film. Pure in its constituents; linear in the number of its pigments. */
export function traitsOf(c: Constituents): Traits {
  const pigment = sum(c.pigments);
  let zinc = 0;
  let white = 0;
  const t = {
    lead: false,
    sulfide: false,
    copper: false,
    bleeds: false,
    water: false,
    dust: false,
  };
  for (const key in c.pigments) {
    const volume = c.pigments[key] ?? 0;
    if (volume === 0) continue;
    const row = PIGMENTS.get(key);
    if (row?.zinc) zinc += volume;
    if (row?.white) white += volume;
    t.dust ||= row?.dust ?? false;
    t.lead ||= LEAD_WHITES.has(key);
    t.sulfide ||= SULFIDES.has(key);
    t.copper ||= COPPER_GREENS.has(key);
    t.bleeds ||= BLEEDERS.has(key);
    t.water ||= WATER_SENSITIVE.has(key);
  }
  const oil = dryingOilVolume(c);
  const wet = dryVolume(c) + c.volatile;
  const tubes = sum(c.tubes);
  const drier = sum(c.driers);
  const waterOil =
    (c.tubeOil['water-mixable-linseed'] ?? 0) + (c.addedOil['water-mixable-linseed'] ?? 0);
  return {
    oilFilm: c.material === null && c.acrylic === 0,
    acrylic: c.acrylic > 0,
    zincShare: ratio(zinc, pigment),
    extenderShare: ratio(c.pigments[EXTENDER_KEY] ?? 0, pigment),
    pale: white > pigment / 2,
    hasLead: t.lead,
    hasSulfide: t.sulfide,
    hasCopperGreen: t.copper,
    bleeds: t.bleeds,
    waterSensitive: t.water,
    dustMetals: t.dust,
    bitumen: (c.pigments.bitumen ?? 0) > 0 || c.megilp > 0,
    makeUpUnknown: c.makeUpUnknown > 0,
    stearateShare: ratio(c.stearate, tubes),
    waterMixable: c.waterMixable > 0,
    slowOilShare: ratio(slowOil(c), oil),
    ordinaryOilShare: c.waterMixable > 0 ? ratio(oil - waterOil, oil) : 0,
    freeSolvent: ratio(c.addedVolatile - c.water, wet),
    strongSolvent: c.strongVolatile > 0,
    water: ratio(c.water, wet),
    drierShare: ratio(drier, wet),
    cobalt: (c.driers['cobalt-drier'] ?? 0) + (c.driers.siccative ?? 0) > 0,
    colouringDrier:
      (c.driers['cobalt-drier'] ?? 0) +
        (c.driers['manganese-drier'] ?? 0) +
        (c.driers.siccative ?? 0) >
      0,
    balsamOfMedium: ratio(c.balsam, c.medium),
    additives:
      drier > 0 ||
      c.cloveWtPct > 0 ||
      c.resin > 0 ||
      c.wax > 0 ||
      c.waterMixable > 0 ||
      c.water > 0,
    mediumOnly: tubes === 0 && c.material === null && c.medium > 0,
  };
}
