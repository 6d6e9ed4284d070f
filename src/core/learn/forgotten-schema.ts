import { z } from 'zod';

/** A paint or medium whose past is to be forgotten: another tube, another make. */
export const forgottenSchema = z.object({
  factor: z.string().min(1).max(120),
  at: z.iso.datetime({ error: 'Must be a date and time.' }),
});

export type Forgotten = z.infer<typeof forgottenSchema>;
