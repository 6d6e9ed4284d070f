import { z } from 'zod';
import { revisionSchema } from '../id-schema';
import { CLIMATE_MONTH_VERSION } from '../editions';
import { HOUR_MS, LATEST_MS, READING_LIMITS } from './readings';

const within = ({ min, max }: { min: number; max: number }) => z.number().min(min).max(max);

export const readingSchema = z.object({
  atMs: z.number().int().nonnegative().max(LATEST_MS),
  temperatureC: within(READING_LIMITS.temperatureC),
  relativeHumidityPct: within(READING_LIMITS.relativeHumidityPct),
});

/** One hour of readings: hour since the epoch, mean temperature (C), mean humidity (%), how many readings. */
export const hourSchema = z.tuple([
  z
    .number()
    .int()
    .nonnegative()
    .max(LATEST_MS / HOUR_MS),
  within(READING_LIMITS.temperatureC),
  within(READING_LIMITS.relativeHumidityPct),
  z.number().int().positive(),
]);

export type ClimateHour = z.infer<typeof hourSchema>;

/** The readings of one month, an hour at a time, in order; what is kept of a logger. */
export const climateMonthSchema = z.object({
  schemaVersion: z.literal(CLIMATE_MONTH_VERSION),
  /** Month in UTC, e.g. "2026-11". */
  id: z.string().regex(/^\d{4}-\d{2}$/),
  revision: revisionSchema,
  hours: z.array(hourSchema).max(31 * 24),
});

export type ClimateMonth = z.infer<typeof climateMonthSchema>;
