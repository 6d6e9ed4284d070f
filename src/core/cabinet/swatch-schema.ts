import { z } from 'zod';
import { FINISHES, GROUND_COLOUR_KEYS } from '@/data/optics';
import { idSchema } from '../id-schema';
import { pigmentKeySchema } from '../film/recipe';

/** Swatches of a tube: patches that the painter laid and read, and what was made of them. Both are kept. */

const LAB_MOST = 150;
export const labSchema = z.tuple(
  [
    z.number({ error: 'L* must be a number.' }).min(0, { error: 'L* is from 0 to 100.' }).max(100, {
      error: 'L* is from 0 to 100.',
    }),
    z
      .number({ error: 'a* must be a number.' })
      .min(-LAB_MOST)
      .max(LAB_MOST, {
        error: `a* is at most ${LAB_MOST} either way.`,
      }),
    z
      .number({ error: 'b* must be a number.' })
      .min(-LAB_MOST)
      .max(LAB_MOST, {
        error: `b* is at most ${LAB_MOST} either way.`,
      }),
  ],
  { error: 'A colour is L*, a* and b*.' },
);

const share = z
  .number({ error: 'The share must be a number.' })
  .gt(0, { error: 'The share must be above 0 %.' })
  .max(1, { error: 'The share cannot be over 100 %.' });

export const laidPatchSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('masstone') }),
  z.object({
    kind: z.literal('tint'),
    /** Part of the tube in the tint, by volume. */
    share,
    /** The white it was mixed with: a paint of the cabinet where `whiteId` names one. */
    white: pigmentKeySchema,
    whiteId: idSchema().optional(),
  }),
  z.object({
    kind: z.literal('film'),
    um: z
      .number({ error: 'Thickness must be a number of µm.' })
      .min(1, { error: 'A swatch is at least 1 µm thick.' })
      .max(500, { error: 'A swatch is at most 500 µm thick.' }),
    /** Tube paint in the dry film, the rest clear medium. */
    tubeShare: share,
    below: z.enum(GROUND_COLOUR_KEYS, { error: 'Choose what the swatch lies on.' }),
  }),
]);

export const patchSchema = z.object({
  laid: laidPatchSchema,
  lab: labSchema,
  finish: z.enum(FINISHES, { error: 'Choose how the swatch shines.' }),
});

const ln = z.number().min(-5).max(5);
export const multipliersSchema = z.object({
  strength: z.tuple([ln, ln, ln]),
  scattering: ln,
  power: ln,
  shiftNm: z.number().min(-60).max(60),
});

const MOST_PATCHES = 8;
export const swatchSchema = z.object({
  id: idSchema(),
  paintId: idSchema(),
  at: z.iso.datetime({ error: 'Must be a date and time such as 2026-02-17T10:15:00.000Z.' }),
  patches: z
    .array(patchSchema)
    .min(1, { error: 'Read at least one patch.' })
    .max(MOST_PATCHES, { error: `At most ${MOST_PATCHES} patches.` }),
  fit: multipliersSchema,
  /** CIEDE2000 of each patch: by the fit, and by the table alone. */
  misfit: z.array(z.number().min(0)).max(MOST_PATCHES),
  tableMisfit: z.array(z.number().min(0)).max(MOST_PATCHES),
  /** The painter goes by it. The latest of a paint that is used counts. */
  used: z.boolean(),
});

export type Swatch = z.infer<typeof swatchSchema>;
export type SwatchPatch = z.infer<typeof patchSchema>;
