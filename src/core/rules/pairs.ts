import { DAY_MS } from '../drying';
import type { RuleSite } from './types';
import { CONSERVATORS, PRACTICE, JUDGEMENT, COATINGS } from './sources';
import { rule } from './rule';

/** What one film does to the film it lies on. */
const onPaint = ({ film, below, intoOpen }: RuleSite): boolean =>
  film.kept.material === null && below.direct !== null && !intoOpen;

/** Laid, or about to be, on paint that is neither open nor touch-dry. A plan waits, so only what is laid can do it. */
const onTacky = rule({
  key: 'on-tacky',
  title: 'On a tacky coat',
  says: 'The stroke will not leave the brush, and lifts what lies below.',
  mend: 'Wait until it is touch-dry, or work while it is open.',
  source: PRACTICE,
  confidence: 'high',
  needs: 'something-below',
  speaks: (site) =>
    onPaint(site) &&
    !site.film.planned &&
    !site.lowerTouchDry &&
    site.below.direct!.key !== 'ground'
      ? { severity: 'strong', about: site.below.direct!.name }
      : null,
});

const trapped = rule({
  key: 'trapped',
  title: 'Shut in too early',
  says: 'The upper coat closes before the lower is done; it moves on, and the upper cracks.',
  mend: 'Wait longer, or lay the upper slower or the lower thinner.',
  source: JUDGEMENT,
  confidence: 'low',
  needs: 'something-below',
  speaks: ({ film, trapIndex, handbook, below, intoOpen, lowerReaches }) => {
    const { trapCaution, trapWarn } = handbook.constants;
    if (trapIndex === null || intoOpen || trapIndex <= trapCaution) return null;
    const lower = below.body;
    // From the dose on at which what is still to come of the lower film is little beside the upper one.
    const dose = lower
      ? lower.times.through.median - trapCaution * film.times.through.median
      : Infinity;
    return {
      severity: trapIndex > trapWarn ? 'strong' : 'caution',
      about: lower?.name ?? null,
      value: trapIndex,
      // Who has laid it cannot wait any more.
      untilMs:
        film.planned && lower ? (lowerReaches?.(dose / lower.times.touch.median) ?? null) : null,
    };
  },
});

const hasAlkyd = (film: RuleSite['film']): boolean => film.composition.alkydOfBinder > 0;

const alkydOverSlowOil = rule({
  key: 'alkyd-over-slow-oil',
  title: 'Alkyd over oil that is not dry through',
  says: 'A fast, brittle skin over soft paint.',
  mend: 'Wait until it is dry through, or leave the alkyd out.',
  source: JUDGEMENT,
  confidence: 'medium',
  needs: 'something-below',
  speaks: (site) => {
    const { film, below, lowerThroughDry, lowerTouchDry, trapIndex, handbook } = site;
    const { trapCaution, alkydThinUm, alkydLittleOfBinder } = handbook.constants;
    const lower = below.body;
    if (!onPaint(site) || !hasAlkyd(film) || !lower?.traits.oilFilm) return null;
    if (hasAlkyd(lower) || lowerThroughDry || lower.traits.mediumOnly) return null;
    const { touch, through } = lower.times;
    const untilMs = film.planned
      ? (site.lowerReaches?.(through.median / touch.median) ?? null)
      : null;
    const shut = (trapIndex ?? 0) > trapCaution;
    if (!shut) return { severity: lowerTouchDry ? 'note' : 'caution', about: lower.name, untilMs };
    // A thin film, or one with little alkyd, gives with what moves below it; a thick rich one tears.
    const gives =
      lowerTouchDry &&
      (film.thicknessUm <= alkydThinUm || film.composition.alkydOfBinder <= alkydLittleOfBinder);
    return { severity: gives ? 'caution' : 'forbid', about: lower.name, untilMs };
  },
});

const oilOverAlkyd = rule({
  key: 'oil-over-alkyd',
  title: 'Oil over alkyd',
  says: 'Usual and sound when touch-dry.',
  mend: 'Older than a month and hard: dull it lightly first.',
  source: PRACTICE,
  confidence: 'medium',
  needs: 'something-below',
  speaks: (site) => {
    const { film, below, atMs, handbook } = site;
    const lower = below.body;
    if (!onPaint(site) || !film.traits.oilFilm || !lower || !hasAlkyd(lower)) return null;
    const old =
      lower.laidAtMs !== null && atMs - lower.laidAtMs > handbook.constants.alkydHardDays * DAY_MS;
    return old ? { severity: 'note', about: lower.name } : null;
  },
});

const slowOilBelow = rule({
  key: 'slow-oil-below',
  title: 'Slow oil below a faster coat',
  says: 'Poppy, safflower and walnut stay soft long; thick coats may weep.',
  mend: 'Linseed below, the pale oils on top.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'something-below',
  speaks: ({ film, below, lowerThroughDry, handbook }) => {
    const lower = below.body;
    return film.traits.oilFilm &&
      lower !== null &&
      lower.traits.slowOilShare > handbook.constants.slowOilShare &&
      !lowerThroughDry &&
      film.times.intrinsicTouchDays < lower.times.intrinsicTouchDays
      ? { severity: 'caution', about: lower.name }
      : null;
  },
});

/**
 * Solvent on young paint; the more, the stronger and the younger, the worse. A planned coat waits: over a laid
 * one it is told from when, over a planned one it is only to know.
 */
const solventLifts = rule({
  key: 'solvent-lifts',
  title: 'The solvent may lift what lies below',
  says: 'Free spirits dissolve young paint.',
  mend: 'Less solvent or a mild one, no scrubbing, or wait.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'something-below',
  speaks: (site) => {
    const { film, below, handbook, atMs, lowerThroughDry, lowerTouchDry, lowerTouchRatio } = site;
    const lower = below.body;
    if (!onPaint(site) || !lower?.traits.oilFilm || lowerThroughDry) return null;
    const { freeSolvent: value, strongSolvent } = film.traits;
    const c = handbook.constants;
    if (value <= c.solventCautionShare) return null;
    const about = lower.name;
    if (!film.planned && !lowerTouchDry) return { severity: 'forbid', about, value };
    const much = value > c.solventStrongShare || strongSolvent;
    const young = much ? 'strong' : 'caution';
    // Past that a light hand does it no harm until it is dry through; a scrub still would.
    const older = much ? ({ severity: 'note', about, value } as const) : null;
    if (!film.planned)
      return lowerTouchRatio < c.solventYoungTouch ? { severity: young, about, value } : older;
    if (!site.lowerReaches) return { severity: 'note', about, value };
    const untilMs = site.lowerReaches(c.solventYoungTouch);
    return untilMs === null || untilMs > atMs ? { severity: young, about, value, untilMs } : older;
  },
});

const solventOnResin = rule({
  key: 'solvent-on-resin',
  title: 'Solvent on a resin film',
  says: 'Natural resin dissolves again at any age.',
  mend: 'Little solvent, odourless spirits, and a light hand.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'additives',
  speaks: (site) => {
    const { film, below, handbook } = site;
    const lower = below.body;
    return onPaint(site) &&
      lower !== null &&
      lower.composition.resinOfBinder > handbook.constants.resinNoteOfBinder &&
      film.traits.freeSolvent > handbook.constants.solventCautionShare
      ? { severity: 'caution', about: lower.name }
      : null;
  },
});

const resinBelow = rule({
  key: 'resin-below',
  title: 'Resin left between',
  says: 'It stays soluble: whoever cleans the picture later goes through it into your paint.',
  mend: 'Take retouch off, or leave the varnish out of coats below.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'something-below',
  speaks: ({ film, below }) =>
    film.kept.material === null && below.resin !== null
      ? { severity: 'caution', about: below.resin }
      : null,
});

const resinGlaze = rule({
  key: 'resin-glaze',
  title: 'A resin glaze stays soluble',
  says: 'For good: a natural varnish on it cannot be taken off without the glaze.',
  mend: 'Mark it on the back; varnish later with a resin that mild spirits take off.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'additives',
  speaks: ({ film, handbook, top }) =>
    top &&
    film.traits.oilFilm &&
    film.composition.resinOfBinder > handbook.constants.resinNoteOfBinder
      ? { severity: 'note', value: film.composition.resinOfBinder }
      : null,
});

/** Lean: with little spare binder, or thinned with water. */
const leadWithSulfide = rule({
  key: 'lead-with-sulfide',
  title: 'Lead white with sulfide pigments',
  says: 'Darkening is feared in lean or watery paint; in well-bound oil it practically does not happen.',
  mend: 'Keep the mix well bound.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'always',
  speaks: ({ film, below, handbook }) => {
    const near = [film, below.direct].filter((f) => f !== null);
    const lead = near.some((f) => f.traits.hasLead);
    const sulfide = near.some((f) => f.traits.hasSulfide);
    const lean =
      (film.composition.reducedPvc ?? 0) > handbook.constants.sulfideLeanReducedPvc ||
      film.traits.water > 0;
    return lead && sulfide && lean && (film.traits.hasLead || film.traits.hasSulfide)
      ? { severity: 'note' }
      : null;
  },
});

const copperWithSulfide = rule({
  key: 'copper-with-sulfide',
  title: 'Copper green with sulfide pigments',
  says: 'Copper and sulfides darken together.',
  mend: 'Keep them in separate coats with a film between, or take another green.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'always',
  speaks: ({ film, below }) => {
    const { hasCopperGreen, hasSulfide } = film.traits;
    const lower = below.direct?.traits;
    return (hasCopperGreen && (hasSulfide || lower?.hasSulfide)) ||
      (hasSulfide && lower?.hasCopperGreen)
      ? { severity: 'caution', about: below.direct?.name ?? null }
      : null;
  },
});

const bleedingColour = rule({
  key: 'bleeding-colour',
  title: 'A colour that may bleed',
  says: 'Naphthol, arylide and alizarin can rise into a pale coat above.',
  mend: 'Try it: a white stroke on a dry dab, a week.',
  source: COATINGS,
  confidence: 'medium',
  needs: 'something-below',
  speaks: ({ film, below }) =>
    film.traits.pale && below.bleeder !== null
      ? { severity: 'caution', about: below.bleeder }
      : null,
});

/** In the order in which they are told among equals. */
export const PAIR_RULES = [
  onTacky,
  trapped,
  alkydOverSlowOil,
  oilOverAlkyd,
  slowOilBelow,
  solventLifts,
  solventOnResin,
  resinBelow,
  resinGlaze,
  leadWithSulfide,
  copperWithSulfide,
  bleedingColour,
] as const;
