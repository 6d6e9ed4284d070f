import { z } from 'zod';
import { revisionSchema } from '../id-schema';
import { roomSchema } from '../air/room-schema';
import { moneySchema } from '../costs/schema';
import { dayNightSchema } from '../climate/day-schema';
import { binderKeySchema } from '../film/recipe';
import { climateSchema } from '../drying/climate-schema';
import { STUDIO_SCHEMA_VERSION } from '../editions';
import { forgottenSchema } from '../learn/forgotten-schema';

export const studioSchema = z.object({
  schemaVersion: z.literal(STUDIO_SCHEMA_VERSION),
  revision: revisionSchema,
  units: z.enum(['cm', 'inch']),
  /** How temperatures are told and typed; absent: Celsius. They are kept in Celsius. */
  temperature: z.enum(['C', 'F']).optional(),
  /** What the painter's paints are ground in, where all are; absent: they differ. */
  binder: binderKeySchema.optional(),
  climate: climateSchema,
  /** Another climate by night; null when it is always the same. */
  dayNight: dayNightSchema.nullable(),
  /** Whether the readings that are kept are followed, or only what is stated here. */
  followReadings: z.boolean(),
  /** Take readings from the logger of this server. */
  loggerOn: z.boolean(),
  /** Paints and mediums whose past tests teach no more. */
  forgotten: z.array(forgottenSchema).max(500),
  /** Where the studio is, for the hours of daylight; degrees north. */
  latitudeDeg: z
    .number({ error: 'Latitude must be a number of degrees.' })
    .min(-90, { error: 'Latitude must be between -90 and 90 degrees.' })
    .max(90, { error: 'Latitude must be between -90 and 90 degrees.' }),
  /** Currency, and what an hour and a gallery are reckoned at; absent until it is said. */
  money: moneySchema.optional(),
  room: roomSchema.optional(),
  /** Who paints here, as it stands on labels and records. */
  painter: z.string().trim().max(120, { error: 'At most 120 letters.' }).optional(),
  /** Order of the paintings on the wall; paintings that it does not name come last. */
  paintingOrder: z.array(z.string()),
});

export type Studio = z.infer<typeof studioSchema>;
