import { z } from 'zod';
import { AIR_KEYS, LIGHT_KEYS } from '@/data/climate';
import { followedAir, HOUR_MS, hoursOf, READING_LIMITS } from '../climate';
import { dryingRate, REFERENCE_CLIMATE } from '../drying';
import { STUDIO_HANDBOOK } from '../handbook';
import type { DefineVerb } from './define';

const reading = z.object({
  at: z.iso.datetime(),
  temperatureC: z
    .number()
    .min(READING_LIMITS.temperatureC.min)
    .max(READING_LIMITS.temperatureC.max),
  relativeHumidityPct: z
    .number()
    .min(READING_LIMITS.relativeHumidityPct.min)
    .max(READING_LIMITS.relativeHumidityPct.max),
});
/** Readings as the verbs take them, with the light and the air round the work. */
export const seriesSchema = z.object({
  readings: z.array(reading).min(1, { error: 'Give at least one reading.' }),
  light: z.enum(LIGHT_KEYS).default('room'),
  air: z.enum(AIR_KEYS).default('room'),
});
export type SeriesInput = z.infer<typeof seriesSchema>;

/** The air that a series of readings stands for; before and after them the day they teach, or the first reading. */
export const airOf = ({ readings, light, air }: SeriesInput) =>
  followedAir(STUDIO_HANDBOOK.constants, {
    climate: {
      ...REFERENCE_CLIMATE,
      temperatureC: readings[0]!.temperatureC,
      relativeHumidityPct: readings[0]!.relativeHumidityPct,
      light,
      air,
    },
    dayNight: null,
    hours: hoursOf(readings.map(({ at, ...r }) => ({ ...r, atMs: Date.parse(at) }))),
    utcOffsetHours: 0,
  });

const MOST_HOURS = 24 * 400;

/** climate: a series of readings as hourly rate and dose. */
export const climateVerb = (define: DefineVerb) =>
  define({
    name: 'climate',
    summary:
      'readings of a logger -> hourly rate of drying and dose, ahead of them by the usual day',
    input: seriesSchema
      .extend({ from: z.iso.datetime(), to: z.iso.datetime() })
      .refine(({ from, to }) => Date.parse(to) > Date.parse(from), {
        error: '"to" must be after "from".',
      })
      .refine(({ from, to }) => Date.parse(to) - Date.parse(from) <= MOST_HOURS * HOUR_MS, {
        error: 'At most 400 days at a time.',
      }),
    output: z.object({
      doseDays: z.number().describe('reference-days over the whole stretch'),
      meanRate: z.number().describe('reference-days a day'),
      rateOfMeanClimate: z
        .number()
        .describe('what the mean temperature and humidity alone would give'),
      usualDay: z
        .object({ dailySdC: z.number(), persistence: z.number(), days: z.number() })
        .nullable(),
      hours: z.array(
        z.object({
          at: z.iso.datetime(),
          temperatureC: z.number(),
          relativeHumidityPct: z.number(),
          measured: z.boolean(),
          rate: z.number(),
          doseDays: z.number().describe('from the beginning to the end of this hour'),
        }),
      ),
    }),
    run: ({ from, to, ...series }) => {
      const air = airOf(series);
      const fromHour = Math.floor(Date.parse(from) / HOUR_MS);
      const toHour = Math.ceil(Date.parse(to) / HOUR_MS);
      const clock = air.clock('oil', fromHour * HOUR_MS, null);
      const hours = Array.from({ length: toHour - fromHour }, (_, i) => {
        const hour = fromHour + i;
        const at = air.timeline.at(hour);
        return {
          at: new Date(hour * HOUR_MS).toISOString(),
          ...at,
          rate: dryingRate(STUDIO_HANDBOOK.constants, {
            temperatureC: at.temperatureC,
            relativeHumidityPct: at.relativeHumidityPct,
            light: series.light,
            air: series.air,
          }),
          doseDays: clock.doseAt((hour + 1) * HOUR_MS),
        };
      });
      const mean = (of: (h: (typeof hours)[number]) => number): number =>
        hours.reduce((s, h) => s + of(h), 0) / hours.length;
      return {
        doseDays: clock.doseAt(toHour * HOUR_MS),
        meanRate: mean((h) => h.rate),
        rateOfMeanClimate: dryingRate(STUDIO_HANDBOOK.constants, {
          temperatureC: mean((h) => h.temperatureC),
          relativeHumidityPct: mean((h) => h.relativeHumidityPct),
          light: series.light,
          air: series.air,
        }),
        usualDay: air.learned && {
          dailySdC: air.learned.dailySdC,
          persistence: air.learned.persistence,
          days: air.learned.days,
        },
        hours,
      };
    },
  });
