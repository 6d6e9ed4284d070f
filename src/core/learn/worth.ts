import { LEARNING as L } from '@/data/learning';
import { probabilityBy, type DryingTimes } from '../drying';
import { factorsSay, type Learned } from './learned';
import { priorVariance, type Features } from './features';

/** Entropy of a yes or no, bits. */
const entropy = (p: number): number =>
  p <= 0 || p >= 1 ? 0 : -(p * Math.log2(p) + (1 - p) * Math.log2(1 - p));

/**
 * How much a touch now would teach, 0 to 1: how open its answer is, times how much of the doubt is shared with
 * other films. A film that is surely wet, surely dry, or unlike all others teaches little.
 */
export function touchWorth(
  learned: Learned | null,
  features: Features,
  times: Pick<DryingTimes, 'touch'>,
  dose: number,
): number {
  const shared = learned ? factorsSay(learned, features).variance : priorVariance(features);
  const coat = learned ? learned.coatVariance : L.coatSd ** 2;
  return entropy(probabilityBy(times.touch, dose)) * (shared / (shared + coat));
}
