import { z } from 'zod';

/** What a deadline asks for: dry to the touch, dry enough to wrap and carry, varnished. */
export const MILESTONES = ['touch-dry', 'travel', 'varnished'] as const;
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

const id = z.string().min(1).max(80);

export const edgeSchema = z.object({ between: z.tuple([id, id]), intent: z.enum(EDGE_INTENTS) });
export type Edge = z.infer<typeof edgeSchema>;

/** How a painting is planned. */
export const deadlineSchema = z.object({
  dueAt: z.iso.datetime({ error: 'Give a day and a time, such as 12 Mar 2026, 17:00.' }).nullable(),
  milestone: z.enum(MILESTONES),
  importance: z.enum(IMPORTANCES),
  stage: z.enum(WAIT_STAGES),
  chance: z.union(
    WAIT_CHANCES.map((c) => z.literal(c)),
    { error: 'Choose 50, 75 or 90 %.' },
  ),
  edges: z.array(edgeSchema).max(40),
  /** The hand rests on a stick: fine work needs no dry place beside it. */
  handOnStick: z.boolean(),
});
export type Deadline = z.infer<typeof deadlineSchema>;

export const USUAL_DEADLINE: Deadline = {
  dueAt: null,
  milestone: 'touch-dry',
  importance: 'usual',
  stage: 'touch-dry',
  chance: 0.75,
  edges: [],
  handOnStick: false,
};
