import { HANDBOOK_CONSTANTS } from '@/data/constants';
import type { Handbook, Pigment } from '../handbook';

/**
 * The first (handbook) set, for worked examples that were computed with it: constants without the
 * revision, and the tube paint table compiled from Gettens & Stout, Mayer, Doerner and Patton (from
 * memory): density, oil absorption, oil weight %, drying factor.
 */
const TABLE: [
  key: string,
  density: number,
  oilAbsorption: number,
  oilWt: number,
  factor: number,
][] = [
  ['lead-white', 6.7, 11, 14, 0.6],
  ['titanium-white', 4.1, 20, 25, 1.3],
  ['cadmium-red', 4.8, 18, 25, 1.4],
  ['raw-umber', 3.6, 40, 45, 0.4],
  ['burnt-umber', 3.7, 38, 44, 0.4],
  ['viridian', 3.3, 55, 48, 1.0],
  ['ultramarine-blue', 2.35, 33, 36, 1.2],
  ['phthalo-blue', 1.6, 45, 52, 1.1],
  ['alizarin-crimson', 1.65, 65, 58, 2.0],
  ['ivory-black', 2.45, 50, 48, 1.8],
];

const pigment = ([
  key,
  density,
  oilAbsorption,
  oilWt,
  factor,
]: (typeof TABLE)[number]): Pigment => ({
  key,
  ci: '',
  name: key,
  densityGPerMl: density,
  oilAbsorptionGPer100g: oilAbsorption,
  dryingFactor: factor,
  tubeOilWtPct: oilWt,
  metals: [],
});

export const HANDBOOK_SET: Handbook = {
  constants: HANDBOOK_CONSTANTS,
  pigments: Object.fromEntries(TABLE.map((line) => [line[0], pigment(line)])),
  tubeExponent: 'one',
  mixWeights: 'pigment-volume',
  revised: false,
};
