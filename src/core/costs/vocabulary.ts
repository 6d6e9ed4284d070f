/** What a picture costs besides its paint. */
export const COST_KINDS = [
  'support',
  'stretcher',
  'ground',
  'medium',
  'frame',
  'glass',
  'photography',
  'transport',
  'fee',
  'other',
] as const;
export type CostKind = (typeof COST_KINDS)[number];

export const SHOWN_AT = ['gallery', 'show', 'competition', 'client'] as const;
export const OUTCOMES = ['waiting', 'accepted', 'refused', 'withdrawn'] as const;

export const BRUSH_SHAPES = [
  'flat',
  'filbert',
  'round',
  'rigger',
  'fan',
  'knife',
  'other',
] as const;

/** How much is kept of each. */
export const COSTS_MOST = { costs: 200, submissions: 200, brushes: 500 } as const;
