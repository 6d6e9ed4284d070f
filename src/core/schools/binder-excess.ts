import { isStain, overStain, underbound, withinUncertainty, type Judgement } from './shared';
import type { KnownFilm, School } from './types';

const ROUNDING = 1e-9;
/** A film without pigment is all binder. */
const reduced = (film: KnownFilm): number => film.composition.reducedPvc ?? 0;

export const binderExcess: School = {
  key: 'binder-excess',
  name: 'Spare binder',
  statement:
    'Each film has at least as much binder beyond what its pigments need as the film below.',
  measureName: 'binder beyond need',
  format: (value) => `${Math.round(value * 100)} %`,
  recoat: 'recoat',
  source: 'coatings science: reduced PVC, Bierwagen & Hay, Prog. Org. Coat. 3 (1975); from memory',
  measure: (film) => 1 - reduced(film),
  judge(pair, constants, handbook) {
    const own = underbound(pair.upper, handbook);
    if (own?.verdict === 'fail') return own;
    // Paint on a film that powders comes off with it, however well bound it is itself. A stain that is through-dry is
    // bound by what soaks into it.
    const below = handbook.revised ? underbound(pair.lower, handbook) : null;
    if (below?.verdict === 'fail' && !isStain(pair, handbook))
      return { verdict: 'fail', reason: 'underbound-below' };
    if (own) return own;
    const rise = reduced(pair.upper) - reduced(pair.lower);
    const compared: Judgement =
      rise <= constants.binderExcessOk + ROUNDING
        ? { verdict: 'ok', reason: 'rises' }
        : {
            verdict: rise <= constants.binderExcessCaution + ROUNDING ? 'caution' : 'fail',
            reason: 'falls',
          };
    const judgedOver = overStain(pair, compared, handbook);
    return withinUncertainty(pair, judgedOver, rise, constants.binderExcessUndecided, handbook);
  },
};
