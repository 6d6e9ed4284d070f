/** What can bother: which of the picture's means it lies in, or its surface. */
export const BOTHER_KINDS = ['value', 'edge', 'drawing', 'colour', 'surface', 'dirt'] as const;
export type BotherKind = (typeof BOTHER_KINDS)[number];

/** How much: 1 one has to look for it, 2 it is seen, 3 it is seen first. */
export const BOTHER_WEIGHTS = [1, 2, 3] as const;

/** Where on the picture, as one stands before it. */
export const QUARTERS = ['upper-left', 'upper-right', 'lower-left', 'lower-right'] as const;
export type Quarter = (typeof QUARTERS)[number];

/** How a picture is looked over. */
export const LOOKED = ['upright', 'mirrored', 'at-distance'] as const;
export type Looked = (typeof LOOKED)[number];

/** By which the painter wants to stop. */
export const STOPPING_RULES = ['two-looks', 'only-change', 'hours-spent'] as const;
export type StoppingRule = (typeof STOPPING_RULES)[number];

/** Varnishes that a picture is finished with. */
export const FINAL_VARNISHES = [
  'resin-varnish',
  'synthetic-varnish',
  'waterborne-varnish',
] as const;
export type FinalVarnish = (typeof FINAL_VARNISHES)[number];

/** How a picture leaves the studio. */
export const PACKINGS = ['wrapped', 'face-free', 'carried'] as const;
export type Packing = (typeof PACKINGS)[number];

/** How many squares of a picture a scan walks, side by side and one below the other. */
export const SCAN_GRID = 3;

/** How much a painting keeps of each. Schema, edits and screens go by these. */
export const FINISH_MOST = { scans: 400, answers: 400, tests: 400 } as const;
