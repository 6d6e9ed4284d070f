import { percent, type Judgement } from './shared';
import type { KnownFilm, KnownPair, School } from './types';

const ROUNDING = 1e-9;
const WORSE: Judgement['verdict'][] = ['ok', 'note', 'caution', 'fail'];
const hasAlkyd = (film: KnownFilm): boolean => film.composition.alkydOfBinder > 0;

export const constantAlkyd: School = {
  key: 'constant-alkyd',
  name: 'Constant alkyd',
  statement:
    'Every coat has the same share of alkyd medium, a quarter at most, on a touch-dry coat; alkyd never goes on plain oil that is not dry through.',
  measureName: 'alkyd medium, share',
  format: percent,
  recoat: 'touch-dry',
  source: 'common practice with fast alkyd mediums, no source',
  measure: (film) => film.composition.alkydMediumShare,
  judge(pair: KnownPair, constants, handbook) {
    const { lower, upper } = pair;
    if (!hasAlkyd(lower) && !hasAlkyd(upper))
      return { verdict: 'not-applicable', reason: 'no-alkyd' };
    if (hasAlkyd(upper) && !hasAlkyd(lower) && !pair.lowerThroughDry) {
      // A thin film, or one with little alkyd, gives with what moves below it.
      const gives =
        handbook.revised &&
        pair.lowerTouchDry &&
        (upper.thicknessUm <= constants.alkydThinUm ||
          upper.composition.alkydOfBinder <= constants.alkydLittleOfBinder);
      return { verdict: gives ? 'caution' : 'fail', reason: 'alkyd-over-undry-oil' };
    }
    if (!pair.lowerTouchDry) return { verdict: 'fail', reason: 'lower-not-touch-dry' };
    const m = upper.composition.alkydMediumShare;
    if (m < lower.composition.alkydMediumShare - constants.alkydShareTolerance - ROUNDING) {
      return { verdict: 'fail', reason: 'falls' };
    }
    // Each film by its own share: a glaze that is let off does not make a body beside it worse.
    const ofEach = [lower, upper].map((film): Judgement => {
      const share = film.composition.alkydMediumShare;
      if (share <= constants.mediumShareCaution + ROUNDING)
        return { verdict: 'ok', reason: 'rises' };
      if (handbook.revised && film.thicknessUm <= constants.thinGlazeUm)
        return { verdict: 'note', reason: 'thin-glaze-over-cap' };
      const little = share <= constants.mediumShareMax + ROUNDING;
      return { verdict: little ? 'caution' : 'fail', reason: 'over-cap' };
    });
    return ofEach.reduce((a, b) => (WORSE.indexOf(b.verdict) > WORSE.indexOf(a.verdict) ? b : a));
  },
};
