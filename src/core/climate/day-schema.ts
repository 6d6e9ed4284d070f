import { z } from 'zod';
import { climateSchema } from '../drying/climate-schema';
import { HOURS_PER_DAY } from './day';

const hourOfDay = z
  .number()
  .int()
  .min(0)
  .max(HOURS_PER_DAY - 1);

/** Two levels: heated or lit from one hour to another, something else for the rest of the day. Local hours. */
export const dayNightSchema = z.object({
  dayFromHour: hourOfDay,
  dayToHour: hourOfDay,
  night: climateSchema.pick({ temperatureC: true, relativeHumidityPct: true }),
});

export type DayNight = z.infer<typeof dayNightSchema>;
