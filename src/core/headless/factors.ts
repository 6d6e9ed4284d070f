import { z } from 'zod';
import {
  baseDays,
  cloveFactor,
  drierFactors,
  alkydFactor,
  oilDays,
  pigmentFactor,
  tubeExponent,
} from '../drying/kinetics';
import { dryingOilVolume, type Constituents } from '../film/constituents';
import { STUDIO_HANDBOOK } from '../handbook';

/** What the drying time of a paint is made of, by the names of docs/method.md. */
export const paintFactorsSchema = z.object({
  oilDays: z.number().describe('t_oil, the blend of its oils, reference-days'),
  pigmentFactor: z.number().describe('F_pigment'),
  tubeExponent: z.number().describe('u, how far pigment and tube count'),
  baseDays: z.number().describe('b = t_oil (F_pigment F_tube)^u, reference-days at 50 um'),
  alkydFactor: z.number().describe('F_alk'),
  drierTouchFactor: z.number(),
  drierThroughFactor: z.number(),
  cloveFactor: z.number(),
  oilUm: z.number().describe('h_oil, drying oil in the film as laid, um of film'),
});

/** The factors of a paint, as the model multiplies them. */
export function paintFactors(film: Constituents): z.infer<typeof paintFactorsSchema> {
  const base = baseDays(STUDIO_HANDBOOK, film);
  const driers = drierFactors(STUDIO_HANDBOOK, film);
  return {
    oilDays: oilDays(film),
    pigmentFactor: pigmentFactor(film),
    tubeExponent: tubeExponent(STUDIO_HANDBOOK, film),
    baseDays: base,
    alkydFactor: alkydFactor(STUDIO_HANDBOOK, film, base),
    drierTouchFactor: driers.touch,
    drierThroughFactor: driers.through,
    cloveFactor: cloveFactor(STUDIO_HANDBOOK, film),
    oilUm: dryingOilVolume(film),
  };
}
