import { z } from 'zod';

/** A form that was left half done: what it began from and how far it is. Whether it can still be opened the form judges. */
export const keptDraftSchema = z.object({
  key: z.string().min(1).max(400),
  at: z.iso.datetime(),
  base: z.unknown(),
  draft: z.unknown(),
});

export type KeptDraft = z.infer<typeof keptDraftSchema>;
