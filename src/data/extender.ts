/**
 * The extender of student and mixing paints: chalk, barite, alumina, silica. One row stands for them all,
 * since the tube never says which: ground chalk (PW18). Pigment handbooks; from memory, low.
 */
export const EXTENDER_KEY = 'extender';

export const EXTENDER = {
  key: EXTENDER_KEY,
  ci: 'PW18',
  name: 'Extender (chalk, barite, silica)',
  densityGPerMl: 2.7,
  oilAbsorptionGPer100g: 18,
  dryingFactor: 1,
  /** A putty of chalk in oil; only used when a tube is mostly extender. */
  tubeOilWtPct: 20,
  metals: [],
} as const;
