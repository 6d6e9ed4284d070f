import { varnishDoseDays } from '../drying';
import { isFinalVarnish } from './below';
import type { RuleSite } from './types';
import { CONSERVATORS, PRACTICE } from './sources';
import { rule } from './rule';

/** Retouch varnish, the final varnish, and the test that comes before it. */
const isRetouch = ({ film }: RuleSite): boolean => film.kept.material === 'retouch-varnish';

const retouchBetween = rule({
  key: 'retouch-between',
  title: 'Retouch varnish between coats',
  says: 'Only very thin, over touch-dry paint; it counts as resin left between.',
  mend: 'An hour to a day before painting. Oiling out does less harm.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: (site) => (isRetouch(site) && !site.top ? { severity: 'caution' } : null),
});

const retouchTooEarly = rule({
  key: 'retouch-too-early',
  title: 'Retouch varnish too early',
  says: 'The coat below is not touch-dry.',
  mend: 'Wait until it is touch-dry, better half as long again.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: (site) =>
    isRetouch(site) && site.below.direct !== null && !site.lowerTouchDry
      ? { severity: 'strong', about: site.below.direct.name }
      : null,
});

const retouchTwice = rule({
  key: 'retouch-twice',
  title: 'Retouch varnish more than once',
  says: 'Layer on layer of soluble resin.',
  mend: 'Take the earlier one off, or oil out.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: (site) =>
    isRetouch(site) && site.below.retouch !== null ? { severity: 'forbid' } : null,
});

const varnishBetween = rule({
  key: 'varnish-between',
  title: 'Final varnish or wax below paint',
  says: 'Nothing holds on it.',
  mend: 'Take it off before you paint on.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'other-stuff',
  speaks: ({ film, below }) =>
    film.kept.material !== 'wax-polish' &&
    film.role !== 'varnish' &&
    below.finalVarnish !== null &&
    !isFinalVarnish(film.kept.material)
      ? { severity: 'forbid', about: below.finalVarnish }
      : null,
});

const varnishTooEarly = rule({
  key: 'varnish-too-early',
  title: 'Varnish too early',
  says: 'The film still moves and takes up solvent.',
  mend: 'Natural resin: six to twenty-four months. Modern: dry through, and two weeks. Then test the witness, not the picture.',
  source:
    'six to twelve months: Mayer; dry-through for modern resins: de la Rie & McGlinchey (1990); from memory',
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: (site) => {
    const { film, below, lowerTouchRatio } = site;
    const lower = below.body;
    const { material } = film.kept;
    if (material !== 'resin-varnish' && material !== 'synthetic-varnish') return null;
    const { constants } = site.handbook;
    const doseOf = (times: RuleSite['film']['times']) =>
      varnishDoseDays(constants, material, times.through.median);
    // A thin glaze is dry long before the knife coat under it: the last of all films decides.
    const last = site.lastToReach(doseOf);
    if (last)
      return { severity: 'strong', about: last.name, value: last.dose, untilMs: last.untilMs };
    if (!lower?.traits.oilFilm || lower.key === 'ground' || lower.laidAtMs !== null) return null;
    const dose = doseOf(lower.times);
    const had = lowerTouchRatio * lower.times.touch.median;
    return had < dose ? { severity: 'strong', about: lower.name, value: dose } : null;
  },
});

const varnishTestFailed = rule({
  key: 'varnish-test-failed',
  title: 'A test before the varnish failed',
  says: 'The film is not ready, whatever the day says.',
  mend: 'Wait a month and make it again on the witness, not on the picture.',
  source: PRACTICE,
  confidence: 'low',
  needs: 'other-stuff',
  speaks: ({ film, failedTest, atMs }) => {
    if (!isFinalVarnish(film.kept.material) || film.kept.material === 'wax-polish' || !failedTest)
      return null;
    const { name, repeatFromMs } = failedTest;
    // From then on it is worth repeating; that it failed stands until it has been.
    return atMs < repeatFromMs
      ? { severity: 'strong', about: name, untilMs: repeatFromMs }
      : { severity: 'caution', about: name };
  },
});

const varnishOnSoft = rule({
  key: 'varnish-on-soft',
  title: 'Varnish on what never dries',
  says: 'Oil pastel and wax stay soft for good: a brush drags them, and the varnish does not hold.',
  mend: 'Oil pastel: spray its own fixative, then a sprayed varnish, or frame it behind glass. Wax: polish it, or take it off with mild spirits first.',
  source: PRACTICE,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: ({ film, below }) => {
    const about =
      below.pastel ?? (below.direct?.kept.material === 'wax-polish' ? below.direct.name : null);
    return isFinalVarnish(film.kept.material) &&
      film.kept.material !== 'wax-polish' &&
      about !== null
      ? { severity: 'strong', about }
      : null;
  },
});

const varnishSinks = rule({
  key: 'varnish-sinks',
  title: 'Varnish sinks into a lean film',
  says: 'It goes in and cannot be taken out again.',
  mend: 'Oil out thinly and let that dry first, or leave it unvarnished under glass.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: ({ film, below, handbook }) =>
    isFinalVarnish(film.kept.material) &&
    film.kept.material !== 'wax-polish' &&
    below.body !== null &&
    (below.body.composition.reducedPvc ?? 0) > handbook.constants.sinkingReducedPvc
      ? { severity: 'caution', about: below.body.name }
      : null,
});

const naturalVarnishOnResin = rule({
  key: 'natural-varnish-on-resin',
  title: 'Natural varnish on a resin glaze',
  says: 'Whoever takes the varnish off takes the glaze along.',
  mend: 'Use a modern varnish that mild spirits take off.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'other-stuff',
  speaks: ({ film, below, handbook }) =>
    film.kept.material === 'resin-varnish' &&
    below.body !== null &&
    below.body.composition.resinOfBinder > handbook.constants.resinNoteOfBinder
      ? { severity: 'strong', about: below.body.name }
      : null,
});

/** In the order in which they are told among equals. */
export const VARNISHING_RULES = [
  retouchBetween,
  retouchTooEarly,
  retouchTwice,
  varnishBetween,
  varnishTooEarly,
  varnishTestFailed,
  varnishOnSoft,
  varnishSinks,
  naturalVarnishOnResin,
] as const;
