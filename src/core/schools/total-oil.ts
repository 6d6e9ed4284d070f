import { overStain, percent, underbound, withinUncertainty, type Judgement } from './shared';
import type { School } from './types';

/** Slack for sums of floating-point volumes: identical recipes must not differ. */
const ROUNDING = 1e-9;

export const totalOil: School = {
  key: 'total-oil',
  name: 'All the oil',
  statement:
    'Each dry film holds at least as much oil and resin by volume as the film below, the oil of the tubes included.',
  measureName: 'fatness, % oil',
  format: percent,
  recoat: 'recoat',
  source: 'strict material reading of "fat"; thresholds are judgement; from memory',
  measure: (film) => film.composition.fatness,
  judge(pair, constants, handbook) {
    const delta = pair.upper.composition.fatness - pair.lower.composition.fatness;
    const compared: Judgement =
      delta >= constants.totalOilOk - ROUNDING
        ? { verdict: 'ok', reason: 'rises' }
        : {
            verdict: delta >= constants.totalOilCaution - ROUNDING ? 'caution' : 'fail',
            reason: 'falls',
          };
    // Pores are the business of the school of spare binder, and of a rule; this one weighs the oil.
    const own = handbook.revised ? null : underbound(pair.upper, handbook);
    const judged = own?.verdict === 'fail' ? own : compared;
    const judgedOver = overStain(pair, judged, handbook);
    return withinUncertainty(pair, judgedOver, delta, constants.totalOilUndecided, handbook);
  },
};
