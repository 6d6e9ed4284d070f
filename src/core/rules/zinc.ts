import { FLEXIBLE } from '../painting/vocabulary';
import { ZINC } from './sources';
import { rule } from './rule';

/** Zinc below speaks to paint above it; zinc itself speaks for its own film. */
const zincBelow = rule({
  key: 'zinc-below',
  title: 'Oil over zinc white',
  says: 'Zinc makes the film below brittle within years, and what lies on it comes away.',
  mend: 'Use titanium or lead white below; zinc, if at all, in the last coat, thin, on a panel.',
  source: ZINC,
  confidence: 'high',
  needs: 'always',
  speaks: ({ film, below }) =>
    film.traits.oilFilm && below.zincForbidden !== null
      ? { severity: 'forbid', about: below.zincForbidden }
      : null,
});

const zincTraceBelow = rule({
  key: 'zinc-trace-below',
  title: 'A little zinc below',
  says: 'Less than a tenth of the pigment is zinc; still reactive, and no safe limit is known.',
  mend: 'Take a white without zinc for coats that will be painted over.',
  source: ZINC,
  confidence: 'low',
  needs: 'something-below',
  speaks: ({ film, below }) =>
    film.traits.oilFilm && below.zincForbidden === null && below.zincTrace !== null
      ? { severity: 'caution', about: below.zincTrace }
      : null,
});

const UNDER_ROLES = new Set(['tone', 'underpainting']);

const zincThick = rule({
  key: 'zinc-thick',
  title: 'Zinc white thick or as underpainting',
  says: 'A thick or underlying coat of zinc is the one that cracks and flakes.',
  mend: 'Take titanium or lead white here.',
  source: ZINC,
  confidence: 'high',
  needs: 'always',
  speaks: ({ film, handbook }) => {
    const { zincThickUm, zincForbidShare } = handbook.constants;
    const { zincShare } = film.traits;
    return zincShare >= zincForbidShare &&
      (film.thicknessUm > zincThickUm || UNDER_ROLES.has(film.role))
      ? { severity: 'forbid', value: zincShare }
      : null;
  },
});

const zincOnTop = rule({
  key: 'zinc-on-top',
  title: 'Zinc white',
  says: 'Zinc embrittles the film, at any fatness.',
  mend: 'Keep it thin, in the last coat, on a rigid support.',
  source: ZINC,
  confidence: 'high',
  needs: 'always',
  speaks: ({ film, support, large, handbook }) => {
    const { zincShare } = film.traits;
    if (zincShare === 0) return null;
    const { zincForbidShare } = handbook.constants;
    const bends = FLEXIBLE.has(support.kind);
    const strong = zincShare >= zincForbidShare && (bends || large);
    return { severity: strong ? 'strong' : 'caution', value: zincShare };
  },
});

const whiteUnknown = rule({
  key: 'white-unknown',
  title: 'A white or hue nobody describes',
  says: 'Tints, hues and mixed whites often hold zinc.',
  mend: 'Ask what is in it, or take a tube that says.',
  source: ZINC,
  confidence: 'medium',
  needs: 'always',
  speaks: ({ film }) => (film.traits.makeUpUnknown ? { severity: 'caution' } : null),
});

/** In the order in which they are told among equals. */
export const ZINC_RULES = [zincBelow, zincTraceBelow, zincOnTop, zincThick, whiteUnknown] as const;
