import { pigmentOf, type Handbook } from '../handbook';

/**
 * Pigment volume concentration of a dry film: Vp/(Vp + Vb). 0 for a film without pigment.
 */
export const pvc = (pigmentVolume: number, binderVolume: number): number =>
  pigmentVolume === 0 ? 0 : pigmentVolume / (pigmentVolume + binderVolume);

/**
 * Critical PVC from oil absorption: CPVC = 1/(1 + OA rho/93.5).
 * OA in g oil per 100 g pigment, rho in g/ml. Concept: Asbeck & Van Loo, Ind. Eng. Chem. 41 (1949);
 * oil-absorption route: Patton, Paint Flow and Pigment Dispersion; from memory.
 * Good to about 2-6 points: the end point of the rub-out depends on the hand.
 * @example cpvc(20, 4.1, 93.5) // 0.5328
 */
export const cpvc = (
  oilAbsorption: number,
  densityGPerMl: number,
  oilVolumeConstant: number,
): number => 1 / (1 + (oilAbsorption * densityGPerMl) / oilVolumeConstant);

/**
 * CPVC of a mixture: 1/CPVC = sum(phi_i/CPVC_i), phi_i the volume share of the pigment solids.
 * Null without pigment. Mixed sizes pack 0-5 points denser in truth.
 */
export function cpvcOfMixture(handbook: Handbook, pigments: Record<string, number>): number | null {
  let total = 0;
  let inverse = 0;
  for (const key in pigments) {
    const volume = pigments[key] ?? 0;
    if (volume === 0) continue;
    const p = pigmentOf(handbook, key);
    total += volume;
    inverse +=
      volume / cpvc(p.oilAbsorptionGPer100g, p.densityGPerMl, handbook.constants.cpvcOilVolume);
  }
  return total === 0 ? null : total / inverse;
}
