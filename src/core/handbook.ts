import { STUDIO_CONSTANTS, type Constants } from '@/data/constants';
import { EXTENDER, EXTENDER_KEY } from '@/data/extender';
import { PIGMENT_ROWS } from '@/data/pigments';
import type { PigmentRow } from '@/data/pigments-schema';
import { CoreError } from './errors';

/** What the calculations need to know of a pigment. */
export interface Pigment {
  key: string;
  ci: string;
  name: string;
  densityGPerMl: number;
  /** g linseed oil per 100 g pigment, spatula rub-out. */
  oilAbsorptionGPer100g: number;
  /** Multiplies the touch-dry time of the oil alone; below 1 is faster. */
  dryingFactor: number;
  /** Oil in a usual tube, % by weight. */
  tubeOilWtPct: number;
  metals: readonly string[];
}

/**
 * The tables and constants a calculation runs on, and the two rules in which the first (handbook)
 * set differs in form from the revision the product uses. Passed as an argument, so that worked
 * examples of the literature can be checked with the numbers they were worked with.
 */
export interface Handbook {
  constants: Constants;
  pigments: Record<string, Pigment>;
  /** Exponent of (pigment x tube) in the base time: 1, or the tube's share of all drying oil. */
  tubeExponent: 'one' | 'tube-oil-share';
  /** Weights when pigments mix: pigment volume (any catalyst triple), or paint volume (Mn, Co, Pb triple). */
  mixWeights: 'pigment-volume' | 'paint-volume';
  /** Exemptions of the revision: undecided bands, lean stains, thin glazes. */
  revised: boolean;
}

/** A row of the pigment table as the calculation uses it. */
export const toPigment = (row: PigmentRow): Pigment => ({
  key: row.key,
  ci: row.ci,
  name: row.name,
  densityGPerMl: row.density_g_cm3,
  oilAbsorptionGPer100g: row.oil_absorption_g_per_100g,
  dryingFactor: row.drying_time_factor,
  tubeOilWtPct: row.tube_oil_wt_pct,
  metals: row.metals,
});

/** The handbook of the product: studio constants and the pigment table. */
export const STUDIO_HANDBOOK: Handbook = {
  constants: STUDIO_CONSTANTS,
  pigments: {
    ...Object.fromEntries(PIGMENT_ROWS.map((row) => [row.key, toPigment(row)])),
    [EXTENDER_KEY]: EXTENDER,
  },
  tubeExponent: 'tube-oil-share',
  mixWeights: 'paint-volume',
  revised: true,
};

/** The pigment of that key. Throws `unknown-pigment`. */
export function pigmentOf(handbook: Handbook, key: string): Pigment {
  const pigment = handbook.pigments[key];
  if (!pigment) {
    throw new CoreError(
      'unknown-pigment',
      'pigment',
      `No pigment is called "${key}". Choose one from the pigment table.`,
    );
  }
  return pigment;
}
