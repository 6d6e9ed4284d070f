import { z } from 'zod';
import { TOLD } from '../drying';
import type { Learned } from './learned';

const numbers = z.array(z.number());
const told = numbers.length(TOLD.length).nullable();

/** What crosses from the worker; apart from the rest, since only that crossing needs it. */
export const learnedSchema: z.ZodType<Learned> = z.object({
  tests: z.number().int(),
  factors: z.array(z.string()),
  mean: numbers,
  covariance: z.array(numbers),
  coatVariance: z.number(),
  coatVariancePrior: z.number(),
  widen: z.number().min(1),
  drift: z.object({
    fromMs: z.number(),
    stretchMs: z.number(),
    steps: z.number(),
    sd: z.number(),
  }),
  films: z.record(z.string(), z.object({ touch: told, through: told })),
});
