import { z } from 'zod';
import { idSchema } from '../id-schema';
import { EDGE_INTENTS, IMPORTANCES, MILESTONES, WAIT_CHANCES, WAIT_STAGES } from './deadline';

const id = idSchema();

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
  /** Passages are worked in the order of their list, as back to front, where they take the same kind of coat. */
  inOrder: z.boolean().optional(),
});

export type Deadline = z.infer<typeof deadlineSchema>;
