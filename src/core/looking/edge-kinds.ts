/** How a border is meant, or is. */
export const EDGE_KINDS = ['hard', 'firm', 'soft', 'lost'] as const;
export type EdgeKind = (typeof EDGE_KINDS)[number];
