import { z } from 'zod';
import { idSchema } from '../id-schema';
import { minorSchema } from '../costs/schema';
import { BRUSH_SHAPES } from '../costs/vocabulary';
import { BRUSH } from '../looking/none';

const timestamp = z.iso.datetime({
  error: 'Must be a date and time such as 2026-02-17T10:15:00.000Z.',
});

/** A brush of the painter's; its life is told in hours at the easel since it was new. */
export const brushSchema = z.object({
  id: idSchema(),
  name: z
    .string()
    .trim()
    .min(1, { error: 'The brush needs a name.' })
    .max(60, { error: 'At most 60 letters.' }),
  shape: z.enum(BRUSH_SHAPES),
  widthMm: z
    .number({ error: 'The width must be a number of mm.' })
    .min(BRUSH.least, { error: `At least ${BRUSH.least} mm wide.` })
    .max(BRUSH.most, { error: `At most ${BRUSH.most} mm wide.` }),
  priceMinor: minorSchema.nullable(),
  /** Hours it is at its best for; null: not known. */
  bestHours: z
    .number({ error: 'The hours must be a number.' })
    .positive({ error: 'The hours must be above 0.' })
    .max(10_000, { error: 'At most 10 000 hours.' })
    .nullable(),
  newAt: timestamp,
  /** Of the hours at the easel, how much it is in the hand; %. */
  usePct: z
    .number({ error: 'Must be a number of %.' })
    .min(0, { error: 'Cannot be below 0 %.' })
    .max(100, { error: 'Cannot be over 100 %.' }),
  retiredAt: timestamp.nullable(),
});
export type CabinetBrush = z.infer<typeof brushSchema>;
