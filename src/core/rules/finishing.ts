import { DAY_MS } from '../drying';
import { dryVolume } from '../film';
import type { RuleSite } from './types';
import { PRACTICE } from './sources';
import { rule } from './rule';
import { VARNISHING_RULES } from './varnishing';

/** Oiling out, and couches. */
const isOilingOut = ({ film }: RuleSite): boolean =>
  film.role === 'oiling-out' && film.traits.mediumOnly;

const oilingOut = rule({
  key: 'oiling-out',
  title: 'Oiling out',
  says: 'A thin film, rubbed on and wiped off; what is left over yellows and slows.',
  mend: 'Wipe it fully. Painting into it fresh is normal, and makes one film.',
  source: PRACTICE,
  confidence: 'medium',
  needs: 'something-below',
  speaks: (site) => (isOilingOut(site) && site.below.direct !== null ? { severity: 'note' } : null),
});

const oilingOutFat = rule({
  key: 'oiling-out-fat',
  title: 'Oiled out too fat',
  says: 'More than a trace: the brush skids, and a soft yellow film stays between.',
  mend: 'Thin it with spirits to half oil at most, and blot it.',
  source: PRACTICE,
  confidence: 'medium',
  needs: 'always',
  speaks: (site) => {
    const { film, handbook } = site;
    const { oilingOutMaxUm, oilingOutMaxSolids } = handbook.constants;
    // What is painted into it fresh does not take it away.
    if (film.couchUm > oilingOutMaxUm) return { severity: 'caution', value: film.couchUm };
    if (!isOilingOut(site)) return null;
    const dry = dryVolume(film.kept);
    const solids = dry / (dry + film.kept.volatile);
    return film.thicknessUm > oilingOutMaxUm || solids > oilingOutMaxSolids + 1e-9
      ? { severity: 'caution', value: film.thicknessUm }
      : null;
  },
});

const oilingOutTacky = rule({
  key: 'oiling-out-tacky',
  title: 'Oiling out a tacky coat',
  says: 'Rubbing lifts it, and the oil goes in.',
  mend: 'Wait until it is touch-dry.',
  source: PRACTICE,
  confidence: 'high',
  needs: 'something-below',
  speaks: (site) =>
    isOilingOut(site) &&
    site.below.direct !== null &&
    site.below.direct.key !== 'ground' &&
    !site.lowerTouchDry &&
    !site.film.planned
      ? { severity: 'strong', about: site.below.direct.name }
      : null,
});

/** A couch of medium that was left to dry, and paint on it sooner than a day after. */
const couchLeftToDry = rule({
  key: 'couch-left-to-dry',
  title: 'A couch meant to dry by itself',
  says: 'It needs one to three days before paint.',
  mend: 'Wait, or paint straight into it.',
  source: PRACTICE,
  confidence: 'medium',
  needs: 'something-below',
  speaks: ({ film, below, handbook, atMs, intoOpen }) => {
    const couch = below.direct;
    if (!couch || couch.role !== 'oiling-out' || film.kept.material !== null) return null;
    if (intoOpen || couch.laidAtMs === null) return null;
    const ready = couch.laidAtMs + handbook.constants.couchWaitDays * DAY_MS;
    return ready > atMs ? { severity: 'caution', about: couch.name, untilMs: ready } : null;
  },
});

/** In the order in which they are told among equals. */
export const FINISHING_RULES = [
  oilingOut,
  oilingOutFat,
  oilingOutTacky,
  couchLeftToDry,
  ...VARNISHING_RULES,
] as const;
