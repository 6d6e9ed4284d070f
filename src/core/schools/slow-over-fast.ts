import type { School } from './types';

export const slowOverFast: School = {
  key: 'slow-over-fast',
  name: 'Slow over fast',
  statement: 'No coat dries much faster than the coat it lies on, unless that one is dry through.',
  measureName: 'touch-dry, days at 50 µm',
  format: (value) => `${value.toFixed(1)} d`,
  recoat: 'through-dry',
  source:
    'drying-rate reading, used with lead white and umber underpaintings; thresholds judgement; from memory',
  measure: (film) => film.times.intrinsicTouchDays,
  judge({ lower, upper, lowerThroughDry }, constants) {
    const q = upper.times.intrinsicTouchDays / lower.times.intrinsicTouchDays;
    if (q >= constants.slowOverFastOk) return { verdict: 'ok', reason: 'rises' };
    if (lowerThroughDry) return { verdict: 'ok', reason: 'lower-through-dry' };
    return { verdict: q >= constants.slowOverFastCaution ? 'caution' : 'fail', reason: 'falls' };
  },
};
