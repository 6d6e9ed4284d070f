import { z } from 'zod';
import { HISTORIC_PIGMENTS } from './historic-pigments';
import table from './pigments.json';

/**
 * The pigment table: typical values with their range. Every figure from memory; what each row rests on, and what
 * to heed, stands in pigment-notes.ts, which only the screens that show it load.
 */
const rangeSchema = z.object({ lo: z.number(), typical: z.number(), hi: z.number() });

export const pigmentSchema = z.object({
  key: z.string(),
  ci: z.string(),
  name: z.string(),
  class: z.enum(['inorganic', 'earth', 'organic', 'lake']),
  density_g_cm3: rangeSchema,
  oil_absorption_g_per_100g: rangeSchema,
  drying_time_factor: rangeSchema,
  drier_class: z.enum(['very-fast', 'fast', 'medium', 'slow', 'very-slow']),
  transparency: z.enum(['opaque', 'semi-opaque', 'semi-transparent', 'transparent']),
  tinting_strength: z.number(),
  refractive_index: z.number().nullable(),
  masstone_srgb: z.string().regex(/^#[0-9a-f]{6}$/),
  tint_srgb: z.string().regex(/^#[0-9a-f]{6}$/),
  metals: z.array(z.string()),
  tube_oil_wt_pct: rangeSchema,
  reactive_zinc: z.boolean(),
});
export type PigmentRow = z.infer<typeof pigmentSchema>;

/** The file is part of the build, so it is checked by a test (data.test.ts), not at every start. */
export const TABLE_PIGMENTS = table.pigments as PigmentRow[];

/** All there are: the table, and two historic paints that are only here to be warned of. */
export const PIGMENT_ROWS: PigmentRow[] = [...TABLE_PIGMENTS, ...HISTORIC_PIGMENTS];
