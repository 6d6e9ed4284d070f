/** Pounds and US gallons, exact by definition of the international units, in g and ml. */
const GRAMS_PER_POUND = 453.59237;
const ML_PER_US_GALLON = 3785.411784;

export interface VarnishCut {
  resinWeightFraction: number;
  resinVolumeFraction: number;
}

/**
 * A resin varnish by its "cut": pounds of resin put to one US gallon of solvent (not per finished
 * gallon: convention of the trade, from memory). Densities in g/ml.
 * @example varnishCut(5, 1.06, 0.865) // 0.409 by weight, 0.361 by volume
 */
export function varnishCut(
  poundsPerGallon: number,
  resinDensity: number,
  solventDensity: number,
): VarnishCut {
  const resinG = poundsPerGallon * GRAMS_PER_POUND;
  const resinMl = resinG / resinDensity;
  return {
    resinWeightFraction: resinG / (resinG + ML_PER_US_GALLON * solventDensity),
    resinVolumeFraction: resinMl / (resinMl + ML_PER_US_GALLON),
  };
}

/**
 * The cut of a varnish from its resin by weight %: the inverse of `varnishCut`. Solvent density in g/ml.
 * @example cutOfWtPct(40.9, 0.865) // 5.0 pounds to the gallon
 */
export const cutOfWtPct = (wtPct: number, solventDensity: number): number =>
  ((wtPct / (100 - wtPct)) * ML_PER_US_GALLON * solventDensity) / GRAMS_PER_POUND;
