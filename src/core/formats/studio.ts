import { z } from 'zod';
import { climateSchema, REFERENCE_CLIMATE } from '../drying';

/** The studio: what holds for all paintings. One document; paintings have one each. */
export const STUDIO_SCHEMA_VERSION = 1;

export const studioSchema = z.object({
  schemaVersion: z.literal(STUDIO_SCHEMA_VERSION),
  revision: z.number().int().min(0),
  units: z.enum(['cm', 'inch']),
  climate: climateSchema,
  /** Where the studio is, for the hours of daylight; degrees north. */
  latitudeDeg: z
    .number({ error: 'Latitude must be a number of degrees.' })
    .min(-90, { error: 'Latitude must be between -90 and 90 degrees.' })
    .max(90, { error: 'Latitude must be between -90 and 90 degrees.' }),
  /** Order of the paintings on the wall; paintings that it does not name come last. */
  paintingOrder: z.array(z.string()),
});
export type Studio = z.infer<typeof studioSchema>;

export const NEW_STUDIO: Studio = {
  schemaVersion: STUDIO_SCHEMA_VERSION,
  revision: 0,
  units: 'cm',
  climate: REFERENCE_CLIMATE,
  latitudeDeg: 50,
  paintingOrder: [],
};
