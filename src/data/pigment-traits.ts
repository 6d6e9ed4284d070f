/** What the compatibility rules need to know of pigments besides zinc, which stands in the table. From memory. */
const set = (...keys: string[]): ReadonlySet<string> => new Set(keys);

/** Sulfides, or holding loose sulfur. Gettens & Stout. */
export const SULFIDES = set(
  'cadmium-yellow',
  'cadmium-orange',
  'cadmium-red',
  'vermilion',
  'ultramarine-blue',
  'ultramarine-violet',
);
/** Lead whites and yellows that sulfides were feared to darken. */
export const LEAD_WHITES = set('lead-white');
/** Greens of copper salts; phthalocyanines are stable and not meant. */
export const COPPER_GREENS = set('verdigris');
/** Colours that may migrate into a coat above. Pigment handbooks. */
export const BLEEDERS = set(
  'naphthol-red',
  'hansa-yellow-medium',
  'hansa-yellow-light',
  'alizarin-crimson',
);
/** Films known to be sensitive to water. Conservators' reports. */
export const WATER_SENSITIVE = set(
  'cadmium-yellow',
  'cadmium-orange',
  'cadmium-red',
  'ultramarine-blue',
  'yellow-ochre',
);
/** Metals whose dust must not be breathed. */
export const DUST_METALS = set('lead', 'cadmium', 'cobalt', 'manganese', 'chromium');
/** Whites: a mixture that is mostly of these is pale. */
export const WHITES = set(
  'lead-white',
  'titanium-white',
  'zinc-white',
  'buff-titanium',
  'mixing-white-zinc-free',
);
