/** Names of the ways to build a picture, apart from the ways themselves: a stored painting only names one. */
export const METHOD_KEYS = [
  'oil-under-glaze',
  'acrylic-under',
  'alkyd-three-stage',
  'direct-start',
  'over-old-oil',
  'one-sitting',
  'own-way',
] as const;
export type MethodKey = (typeof METHOD_KEYS)[number];
