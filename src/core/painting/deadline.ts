import type { Deadline } from './deadline-schema';

/**
 * What a deadline asks for: dry to the touch; photographed, when nothing on it is wet or lifts under a lamp; hung, when
 * its edges can be held in a frame; on the road, when it can be carried face free; varnished.
 */
export const MILESTONES = ['touch-dry', 'photographed', 'hung', 'travel', 'varnished'] as const;
export type Milestone = (typeof MILESTONES)[number];

/** What the next coat waits for, where the coat itself does not say more. */
export const WAIT_STAGES = ['touch-dry', 'recoat', 'through-dry'] as const;
export type WaitStage = (typeof WAIT_STAGES)[number];

/** How sure the painter wants to be that it is ready. */
export const WAIT_CHANCES = [0.5, 0.75, 0.9] as const;

/** What is meant for the edge where two passages meet. */
export const EDGE_INTENTS = ['lost', 'soft', 'crisp', 'overlapping'] as const;
export type EdgeIntent = (typeof EDGE_INTENTS)[number];

/** Which painting gives way to which where the hours do not do for all. */
export const IMPORTANCES = ['may-slip', 'usual', 'first'] as const;
export type Importance = (typeof IMPORTANCES)[number];

export const USUAL_DEADLINE: Deadline = {
  dueAt: null,
  milestone: 'touch-dry',
  importance: 'usual',
  stage: 'touch-dry',
  chance: 0.75,
  edges: [],
  handOnStick: false,
};
