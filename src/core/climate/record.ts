import { z } from 'zod';
import { climateSchema } from '../drying/climate-schema';
import { dayNightSchema } from './day-schema';
import { hourSchema } from './readings-schema';

/** Everything the studio knows of its air; plain data, so that a worker can be given it. */
export const airRecordSchema = z.object({
  /** What the painter says of it; light and air hold for the readings too. */
  climate: climateSchema,
  dayNight: dayNightSchema.nullable(),
  /** Readings by the hour, in order; empty where none are followed. */
  hours: z.array(hourSchema),
  /** Local time minus UTC, hours; for the day/night pattern. */
  utcOffsetHours: z.number(),
});
export type AirRecord = z.infer<typeof airRecordSchema>;
