import { DAY_MS } from '../drying';
import type { RuleSite } from './types';
import { CONSERVATORS, PRACTICE, SHEET } from './sources';
import { rule } from './rule';

/** Pastel, tempera, house paint, shellac and drawing beside artists' oil. */
const material = ({ film }: RuleSite): string | null => film.kept.material;

const oilPastelBelow = rule({
  key: 'oil-pastel-below',
  title: 'Paint over oil pastel',
  says: 'Oil pastel never dries; nothing holds on it.',
  mend: 'Take it off, or leave it as the last.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'other-stuff',
  speaks: ({ film, below }) =>
    below.pastel !== null &&
    film.kept.material !== 'fixative' &&
    film.kept.material !== 'oil-pastel'
      ? { severity: 'forbid', about: below.pastel }
      : null,
});

const oilPastelOnTop = rule({
  key: 'oil-pastel-on-top',
  title: 'Oil pastel on top',
  says: 'It forms no film: it needs glass or fixative.',
  mend: 'Only in the last coat, on paint that is dry through.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: (site) => (material(site) === 'oil-pastel' && site.top ? { severity: 'caution' } : null),
});

const oilStick = rule({
  key: 'oil-stick',
  title: 'Oil stick',
  says: 'It holds wax beside drying oil.',
  mend: 'Thin, in the last coats; dry through before anything more.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: (site) => (material(site) === 'oil-stick' ? { severity: 'caution' } : null),
});

const temperaUnderOil = rule({
  key: 'tempera-under-oil',
  title: 'Egg tempera below oil',
  says: 'Sound: lean and stiff. It must have set.',
  mend: 'A day or two for a thin coat; one to two weeks is recommended.',
  source: CONSERVATORS,
  confidence: 'low',
  needs: 'other-stuff',
  speaks: ({ film, below, handbook, atMs }) => {
    const lower = below.body;
    if (!film.traits.oilFilm || lower?.kept.material !== 'egg-tempera') return null;
    const ready =
      lower.laidAtMs === null ? null : lower.laidAtMs + handbook.constants.temperaWaitDays * DAY_MS;
    return {
      severity: 'note',
      about: lower.name,
      untilMs: ready !== null && ready > atMs ? ready : null,
    };
  },
});

const temperaOverOil = rule({
  key: 'tempera-over-oil',
  title: 'Egg tempera over oil',
  says: 'Watery and lean over fat: it crawls, and cracks.',
  mend: 'Keep tempera below the oil.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: (site) =>
    material(site) === 'egg-tempera' && site.below.oil ? { severity: 'forbid' } : null,
});

const aqueousOverOil = rule({
  key: 'aqueous-over-oil',
  title: 'Casein, gouache or distemper over oil',
  says: 'Watery and lean over fat: it crawls, and cracks.',
  mend: 'Keep it below the oil.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'other-stuff',
  speaks: (site) => (material(site) === 'casein' && site.below.oil ? { severity: 'forbid' } : null),
});

const caseinUnderOil = rule({
  key: 'casein-under-oil',
  title: 'Casein or distemper below oil',
  says: 'Brittle: a rigid support, and an isolating coat.',
  mend: 'One to two weeks to cure.',
  source: CONSERVATORS,
  confidence: 'low',
  needs: 'other-stuff',
  speaks: ({ film, below, handbook, atMs }) => {
    const lower = below.body;
    if (!film.traits.oilFilm || lower?.kept.material !== 'casein') return null;
    const ready =
      lower.laidAtMs === null ? null : lower.laidAtMs + handbook.constants.caseinWaitDays * DAY_MS;
    return {
      severity: 'caution',
      about: lower.name,
      untilMs: ready !== null && ready > atMs ? ready : null,
    };
  },
});

const householdEnamel = rule({
  key: 'household-enamel',
  title: 'House enamel with artists’ oil',
  says: 'Nobody knows its driers and plasticisers, or how it grips.',
  mend: 'Only dry through, and as a risk that you know of.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: (site) =>
    (material(site) === 'household-enamel' && site.below.oil) ||
    (site.film.traits.oilFilm && site.below.body?.kept.material === 'household-enamel')
      ? { severity: 'caution', about: site.below.body?.name ?? null }
      : null,
});

const shellac = rule({
  key: 'shellac',
  title: 'Shellac between',
  says: 'Brittle, and soluble in alcohol; sound only thin, over a knot.',
  mend: 'As thin as it goes, and a day to dry.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: ({ film, below }) =>
    film.kept.material === null && below.shellac !== null
      ? { severity: 'caution', about: below.shellac }
      : null,
});

/** A seal or a first thin coat of acrylic in between locks it; then nothing is said. */
const looseCharcoal = rule({
  key: 'loose-charcoal',
  title: 'Loose charcoal below',
  says: 'It mixes into the paint and muddies it.',
  mend: 'Fix it, dust it off, or lock it under a thin coat.',
  source: PRACTICE,
  confidence: 'high',
  needs: 'other-stuff',
  speaks: ({ film, below }) =>
    film.kept.material === null && below.charcoal !== null && !film.traits.acrylic
      ? { severity: 'caution', about: below.charcoal }
      : null,
});

const graphite = rule({
  key: 'graphite',
  title: 'Pencil below',
  says: 'A heavy line may show through as the paint grows transparent.',
  mend: 'Draw lightly, or seal it.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'other-stuff',
  speaks: ({ film, below }) =>
    film.traits.oilFilm && below.graphite !== null
      ? { severity: 'note', about: below.graphite }
      : null,
});

const dyeDrawing = rule({
  key: 'dye-drawing',
  title: 'Felt pen or ballpoint below',
  says: 'The dye rises through every coat of oil.',
  mend: 'Draw with charcoal, pencil or thin paint; a dye line must be cut out or sealed for good.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'other-stuff',
  speaks: ({ film, below }) =>
    film.traits.oilFilm && below.dye !== null ? { severity: 'forbid', about: below.dye } : null,
});

const latexBelow = rule({
  key: 'household-latex',
  title: 'House latex below oil',
  says: 'A soft dispersion made for walls.',
  mend: 'Take acrylic gesso in its place.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: ({ film, below }) =>
    film.traits.oilFilm && below.body?.kept.material === 'household-latex'
      ? { severity: 'caution', about: below.body.name }
      : null,
});

const latexOverOil = rule({
  key: 'household-latex-over-oil',
  title: 'House latex over oil',
  says: 'A dispersion on oil: it peels.',
  mend: 'Use oil from here on.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: (site) =>
    site.film.kept.material === 'household-latex' && site.below.oil ? { severity: 'forbid' } : null,
});

const drySanding = rule({
  key: 'dry-sanding',
  title: 'Sanding harmful pigments',
  says: 'The dust of lead, cadmium, cobalt, manganese and chromate poisons.',
  mend: `Do not sand it. Scrape it wet, contained, with a fitted respirator; lead never in a home. ${SHEET}`,
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'always',
  speaks: ({ film }) => (film.sanded && film.traits.dustMetals ? { severity: 'forbid' } : null),
});

/** In the order in which they are told among equals. */
export const OTHER_STUFF_RULES = [
  oilPastelBelow,
  oilPastelOnTop,
  oilStick,
  temperaUnderOil,
  temperaOverOil,
  aqueousOverOil,
  caseinUnderOil,
  householdEnamel,
  latexBelow,
  latexOverOil,
  shellac,
  looseCharcoal,
  graphite,
  dyeDrawing,
  drySanding,
] as const;
