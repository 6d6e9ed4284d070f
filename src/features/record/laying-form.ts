import { z } from 'zod';
import { spotSchema } from '@/core/painting/schema';

const WHENS = ['now', 'hour', 'yesterday', 'earlier'] as const;
export type When = (typeof WHENS)[number];

export const whenSchema = z.object({
  when: z.enum(WHENS),
  /** Local time, for "earlier"; as typed where it is none yet. */
  typed: z.string().max(80),
});
export type WhenValue = z.infer<typeof whenSchema>;

/** What is said of a coat that is laid. */
export const layingFormSchema = z.object({
  chosen: z.array(z.string()),
  spot: spotSchema.nullable(),
  /** Null until the painter says whether it had set. */
  wet: z.boolean().nullable(),
  when: whenSchema,
  /** More of what lies there: how much, as a share of the coat. */
  more: z.number().optional(),
});
export type LayingForm = z.infer<typeof layingFormSchema>;
