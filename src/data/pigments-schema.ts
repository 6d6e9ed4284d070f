import { z } from 'zod';

/**
 * The pigment table: typical values. Every figure from memory; their ranges, what each row rests on, and what to heed
 * stand in pigment-notes.ts, which only the screens that show it load.
 */
export const pigmentSchema = z.object({
  key: z.string(),
  ci: z.string(),
  name: z.string(),
  class: z.enum(['inorganic', 'earth', 'organic', 'lake']),
  density_g_cm3: z.number(),
  oil_absorption_g_per_100g: z.number(),
  drying_time_factor: z.number(),
  drier_class: z.enum(['very-fast', 'fast', 'medium', 'slow', 'very-slow']),
  transparency: z.enum(['opaque', 'semi-opaque', 'semi-transparent', 'transparent']),
  metals: z.array(z.string()),
  tube_oil_wt_pct: z.number(),
  reactive_zinc: z.boolean(),
});

export type PigmentRow = z.infer<typeof pigmentSchema>;
