import { z } from 'zod';
import { idSchema, revisionSchema } from '../id-schema';
import { CABINET_SCHEMA_VERSION } from '../editions';
import { mediumPartSchema, ownTubeSchema } from '../film/recipe';
import { COSTS_MOST } from '../costs/vocabulary';
import { brushSchema } from './brush-schema';
import { swatchSchema } from './swatch-schema';

const TUBE_MIN_ML = 1;
const TUBE_MAX_ML = 5000;

export const cabinetPaintSchema = ownTubeSchema.extend({
  tubeMl: z
    .number({ error: 'The tube size must be a number of ml.' })
    .min(TUBE_MIN_ML, { error: `A tube holds at least ${TUBE_MIN_ML} ml.` })
    .max(TUBE_MAX_ML, { error: `A tube holds at most ${TUBE_MAX_ML} ml.` }),
  /** Of one tube, in the painter's money; null where it is not known. */
  price: z
    .number({ error: 'The price must be a number.' })
    .min(0, { error: 'The price cannot be below 0.' })
    .max(100_000, { error: 'The price is too high.' })
    .nullable(),
  /** How much is left, share of a tube; above 1: more than one tube. */
  left: z
    .number({ error: 'What is left must be a number of %.' })
    .min(0, { error: 'What is left cannot be below 0 %.' })
    .max(100, { error: 'What is left can be at most 100 tubes.' }),
  /** When that was seen; coats laid since then run the tube down. Absent: they do not. */
  leftAt: z.iso.datetime({ error: 'Must be a date and time.' }).optional(),
  archived: z.boolean(),
});

export const cabinetMediumSchema = z.object({
  id: idSchema(),
  name: z
    .string()
    .trim()
    .min(1, { error: 'The medium needs a name.' })
    .max(60, { error: 'At most 60 letters.' }),
  /** How the parts were measured. */
  by: z.enum(['volume', 'weight'], { error: 'Parts are by volume or by weight.' }),
  parts: z
    .array(mediumPartSchema)
    .min(1, { error: 'A medium has at least one ingredient.' })
    .max(8, { error: 'A medium holds at most 8 ingredients.' }),
  archived: z.boolean(),
});

export const cabinetSchema = z
  .object({
    schemaVersion: z.literal(CABINET_SCHEMA_VERSION),
    revision: revisionSchema,
    paints: z.array(cabinetPaintSchema).max(2000, { error: 'At most 2000 paints.' }),
    mediums: z.array(cabinetMediumSchema).max(500, { error: 'At most 500 mediums.' }),
    /** What the painter's own swatches said of the paints. */
    swatches: z.array(swatchSchema).max(4000, { error: 'At most 4000 swatches.' }).optional(),
    brushes: z
      .array(brushSchema)
      .max(COSTS_MOST.brushes, { error: `At most ${COSTS_MOST.brushes} brushes.` })
      .optional(),
  })
  .superRefine((cabinet, ctx) => {
    for (const list of ['paints', 'mediums', 'swatches', 'brushes'] as const) {
      const seen = new Set<string>();
      cabinet[list]?.forEach((item, i) => {
        if (seen.has(item.id))
          ctx.addIssue({
            code: 'custom',
            path: [list, i, 'id'],
            message: `Two entries have the id "${item.id}".`,
          });
        seen.add(item.id);
      });
    }
  });

export type CabinetPaint = z.infer<typeof cabinetPaintSchema>;
export type CabinetMedium = z.infer<typeof cabinetMediumSchema>;
export type Cabinet = z.infer<typeof cabinetSchema>;
