import type { Constants } from '@/data/constants';
import { LEARNING as L } from '@/data/learning';
import type { OilKey } from '@/data/oils';
import type { Below, Climate } from '../drying';
import { inverseKelvin } from '../drying/rate';
import { binderVolume, type Constituents } from '../film/constituents';

/** How much of each factor is in a film: what it shares with others that dry the same way. */
export type Features = Record<string, number>;

/** Factors with names of their own; paints and mediums add theirs as `paint:KEY`, `medium:KEY`. */
export const STUDIO_FACTOR = 'studio';
/** The factor by which a paint is told apart. @param tube tubeKey of the table, or own:id */
export const paintFactor = (tube: string): string => `paint:${tube}`;

const PRIOR_SD: Record<string, number> = {
  studio: L.studioSd,
  thickness: L.thicknessSd,
  temperature: L.temperatureSd,
  alkyd: L.alkydSd,
  'over-wet': L.overWetSd,
  'damp-air': L.humiditySd,
  'dry-air': L.humiditySd,
  light: L.lightSd,
  'unknown-oil': L.unknownOilSd,
  through: L.throughSd,
  'through-thickness': L.throughThicknessSd,
};

/** Prior standard deviation of a factor, ln d. */
export function priorSd(factor: string): number {
  const known = PRIOR_SD[factor];
  if (known !== undefined) return known;
  if (factor.startsWith('paint:')) return L.paintSd;
  if (factor.startsWith('medium:')) return L.mediumSd;
  if (factor.startsWith('drift:')) return L.driftSd;
  throw new RangeError(`No factor is called "${factor}".`);
}

/** Binder by where it came from: the tubes, and each kind of it that the medium brought. */
function binderParts(film: Constituents): { added: [string, number][]; total: number } {
  const added: [string, number][] = [];
  for (const key in film.addedOil) added.push([key, film.addedOil[key as OilKey] ?? 0]);
  if (film.alkydMedium > 0) added.push(['alkyd', film.alkydMedium]);
  if (film.resin > 0) added.push(['resin', film.resin]);
  if (film.wax > 0) added.push(['wax', film.wax]);
  return { added, total: binderVolume(film) };
}

/**
 * The factors of a film and their loadings on the logarithm of its touch dose. Paints count by their share of the
 * binder (told from their share of the tube paint), a medium by min(1, share of its solids in the binder / 0.2),
 * split over what it is made of.
 *
 * The tables give every mixture the spread of one paint, any alkyd the full spread of alkyd, any film on a wet one
 * that of wet below. What the loadings leave of these is a surplus of the tables: it is no factor, and narrows as what
 * the factors leave in doubt does.
 */
export function featuresOf(
  constants: Constants,
  film: Constituents,
  thicknessUm: number,
  below: Below,
  climate: Climate,
): Features {
  const z: Features = { [STUDIO_FACTOR]: 1 };
  const { added, total } = binderParts(film);
  let addedTotal = 0;
  for (const [, volume] of added) addedTotal += volume;
  const addedShare = total === 0 ? 0 : addedTotal / total;
  let tubes = 0;
  for (const key in film.tubes) tubes += film.tubes[key]!;
  for (const key in film.tubes) {
    const share = tubes === 0 ? 0 : (film.tubes[key]! / tubes) * (1 - addedShare);
    if (share > 0) z[paintFactor(key)] = share;
  }
  const medium = Math.min(1, addedShare / L.mediumFullShare);
  for (const [key, volume] of added)
    if (volume > 0) z[`medium:${key}`] = (medium * volume) / addedTotal;
  z.thickness = Math.log(thicknessUm / constants.referenceThicknessUm);
  z.temperature =
    (constants.sigmaActivationEnergyJ / constants.gasConstant) *
    (inverseKelvin(constants, climate.temperatureC) - 1 / constants.referenceTemperatureK);
  const alkyd = total === 0 ? 0 : (film.alkydTube + film.alkydMedium) / total;
  if (alkyd > 0) z.alkyd = Math.min(1, L.alkydGain * alkyd);
  if (below.cure < 1) z['over-wet'] = 1 - below.cure;
  if (climate.relativeHumidityPct > constants.sigmaHumidityHighPct) z['damp-air'] = 1;
  if (climate.relativeHumidityPct < constants.sigmaHumidityLowPct) z['dry-air'] = 1;
  if (climate.light !== 'room') z.light = 1;
  if (film.makeUpUnknown > 0) z['unknown-oil'] = 1;
  return z;
}

/** Loadings on the logarithm of the through-dry dose: a part of what is shared, and two factors of its own. */
export function throughFeatures(z: Features): Features {
  const out: Features = { through: 1, 'through-thickness': z.thickness ?? 0 };
  for (const key in z) if (key !== 'thickness') out[key] = L.throughLoading * z[key]!;
  return out;
}

/** Prior variance of what the factors say together. */
export function priorVariance(z: Features): number {
  let sum = 0;
  for (const key in z) sum += (z[key]! * priorSd(key)) ** 2;
  return sum;
}
