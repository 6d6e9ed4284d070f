import type { School } from './types';

export const thickOverThin: School = {
  key: 'thick-over-thin',
  name: 'Thick over thin',
  statement:
    'No coat is much thinner than the one below, unless that one is dry through; a thin fat glaze on touch-dry paint is let off.',
  measureName: 'thickness, µm',
  format: (value) => `${Math.round(value)} µm`,
  recoat: 'through-dry',
  source: 'teaching rule "thin before thick"; thresholds judgement; from memory',
  measure: (film) => film.thicknessUm,
  judge({ lower, upper, lowerThroughDry, lowerTouchDry }, constants, handbook) {
    const ratio = upper.thicknessUm / lower.thicknessUm;
    if (ratio >= constants.thickOverThinOk) return { verdict: 'ok', reason: 'rises' };
    if (lowerThroughDry) return { verdict: 'ok', reason: 'lower-through-dry' };
    const glaze =
      handbook.revised &&
      lowerTouchDry &&
      upper.thicknessUm <= constants.thinGlazeUm &&
      upper.composition.fatness >= lower.composition.fatness;
    if (glaze) return { verdict: 'ok', reason: 'thin-fat-glaze' };
    return {
      verdict: ratio >= constants.thickOverThinCaution ? 'caution' : 'fail',
      reason: 'falls',
    };
  },
};
