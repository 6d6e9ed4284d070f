import { GROUND_BEHAVIOUR, type AbsorbingSurface } from '@/data/grounds';
import type { OilKey } from '@/data/oils';
import type { Handbook } from '../handbook';
import { dryingOilVolume, type Constituents } from './constituents';

/**
 * Fraction of its drying oil (tube and added) that a first coat loses to the ground:
 * L = min(0.5, g/h_oil), g the thickness of oil the ground drinks and h_oil that of the oil in the
 * film as laid, both um. Alkyd, resin and wax stay.
 */
export function groundLossFraction(
  handbook: Handbook,
  film: Constituents,
  surface: AbsorbingSurface,
): number {
  const oilUm = dryingOilVolume(film);
  const uptakeUm = GROUND_BEHAVIOUR[surface].oilUptakeUm;
  if (oilUm === 0 || uptakeUm === 0) return 0;
  return Math.min(handbook.constants.groundLossMax, uptakeUm / oilUm);
}

const keep = (oils: Partial<Record<OilKey, number>>, fraction: number) =>
  Object.fromEntries(Object.entries(oils).map(([key, v]) => [key, v * fraction]));

/** The film after a fraction of its drying oil has gone into the ground. */
export function afterGroundLoss(film: Constituents, lossFraction: number): Constituents {
  if (lossFraction === 0) return film;
  const kept = 1 - lossFraction;
  return { ...film, tubeOil: keep(film.tubeOil, kept), addedOil: keep(film.addedOil, kept) };
}
