import { z } from 'zod';
import type { Confidence } from './constants';
import { HISTORIC_NOTES } from './historic-pigments';
import table from './pigment-notes.json';

/** What the rows of the pigment table rest on, and what to heed with each pigment. */
const confidenceSchema = z.enum(['high', 'medium', 'low']) satisfies z.ZodType<Confidence>;

const rangeSchema = z.tuple([z.number(), z.number()]);

export const pigmentNotesSchema = z.object({
  /** Within which the figures of the table lie: the wider of two compilations. */
  ranges: z.object({
    density_g_cm3: rangeSchema,
    oil_absorption_g_per_100g: rangeSchema,
    drying_time_factor: rangeSchema,
    tube_oil_wt_pct: rangeSchema,
  }),
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
  ...(table.pigments as unknown as Record<string, PigmentNotes>),
  ...HISTORIC_NOTES,
};
