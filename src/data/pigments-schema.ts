import { z } from 'zod';

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
  metals: z.array(z.string()),
  tube_oil_wt_pct: rangeSchema,
  reactive_zinc: z.boolean(),
});

export type PigmentRow = z.infer<typeof pigmentSchema>;
