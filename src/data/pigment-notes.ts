import { z } from 'zod';
import type { Confidence } from './constants';
import { HISTORIC_NOTES } from './historic-pigments';
import table from './pigment-notes.json';

/** What the rows of the pigment table rest on, and what to heed with each pigment. */
const confidenceSchema = z.enum(['high', 'medium', 'low']) satisfies z.ZodType<Confidence>;

export const pigmentNotesSchema = z.object({
  hazard_note: z.string(),
  film_note: z.string(),
  confidence: z.record(z.string(), confidenceSchema),
  sources: z.string(),
  compilations: z.number(),
  tube_oil_source: z.string(),
});
export type PigmentNotes = z.infer<typeof pigmentNotesSchema>;

/** How the table was made. */
export const TABLE_NOTE: string = table.note;

/** By pigment key. Checked by a test, like the table. */
export const PIGMENT_NOTES: Record<string, PigmentNotes> = {
  ...(table.pigments as Record<string, PigmentNotes>),
  ...HISTORIC_NOTES,
};
