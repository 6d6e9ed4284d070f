import { z } from 'zod';

/** Names that every object answers to: under them nothing can be found again, or worse is. */
const RESERVED = (id: string): boolean => id in {};

/** What a document or an entry is called within the program. @param most letters */
export const idSchema = (most = 80) =>
  z
    .string()
    .min(1)
    .max(most)
    .refine((id) => !RESERVED(id), { error: 'That name cannot be used here.' });

/** Counts up with every change; far above what anybody's changes come to, and far below what numbers can hold. */
export const revisionSchema = z.number().int().min(0).max(1e12);
