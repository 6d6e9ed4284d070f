import { z } from 'zod';
import { INGREDIENT_KEYS } from '@/data/ingredients';
import { CoreError, type CoreErrorCode } from '@/core/errors';
import { airRecordSchema } from '@/core/climate/record';
import { climateSchema } from '@/core/drying/climate-schema';
import { filmEvidenceSchema } from '@/core/learn/evidence';
import { learnedSchema } from '@/core/learn/learned-schema';
import type { Learning } from '@/core/learn/learn';
import { coatSchema, paintingSchema } from '@/core/painting/schema';
import type { Repair, WishAnswer } from '@/core/repair';
import { SCHOOL_KEYS } from '@/core/schools';

/** What goes into the solving worker and comes out of it. Both sides are checked. */
export const solveRequestSchema = z.object({
  painting: paintingSchema,
  coatId: z.string(),
  school: z.enum(SCHOOL_KEYS),
  climate: climateSchema,
  /** The air over time, where it changes; and what touch tests have taught. */
  air: airRecordSchema.nullable(),
  learned: learnedSchema.nullable(),
  nowMs: z.number(),
});
export type SolveRequest = z.infer<typeof solveRequestSchema>;

export const wishRequestSchema = solveRequestSchema.extend({
  wish: z.object({
    kind: z.enum(['open-until', 'dry-by']),
    atMs: z.number(),
    layAtMs: z.number(),
    chance: z.number().gt(0).lt(1),
  }),
});
export type WishRequest = z.infer<typeof wishRequestSchema>;

const ingredient = z.enum(INGREDIENT_KEYS).nullable();
const schools = z.array(z.enum(SCHOOL_KEYS));

export const repairsSchema: z.ZodType<Repair[]> = z.array(
  z.object({
    kind: z.enum([
      'add-oil',
      'more-medium',
      'less-medium',
      'leaner-below',
      'wait-through-dry',
      'thicker',
      'thinner',
      'other-order',
    ]),
    coatId: z.string(),
    changed: coatSchema,
    moveBy: z.union([z.literal(-1), z.literal(0)]),
    parts: z.number().nullable(),
    ingredient,
    partsOf: z.enum(['medium', 'paint']),
    mlPer10MlPaint: z.number().nullable(),
    fromMs: z.number().nullable(),
    figureAfter: z.number().nullable(),
    touchDryDaysBefore: z.number(),
    touchDryDaysAfter: z.number(),
    satisfies: schools,
  }),
);

export const wishAnswersSchema: z.ZodType<WishAnswer[]> = z.array(
  z.object({
    lever: z.enum(['as-it-is', 'thickness', 'medium', 'slow-oil', 'alkyd', 'clove-oil']),
    changed: coatSchema,
    ingredient,
    reachedAtMs: z.number().nullable(),
    holds: z.boolean(),
    satisfies: schools,
  }),
);

export const learnRequestSchema = z.object({ evidence: z.array(filmEvidenceSchema) });
export type LearnRequest = z.infer<typeof learnRequestSchema>;

export const learningSchema: z.ZodType<Learning> = z.object({
  learned: learnedSchema,
  conflicts: z.array(
    z.object({
      testId: z.string(),
      filmId: z.string(),
      stage: z.enum(['touch', 'through']),
      misread: z.number(),
    }),
  ),
});

/** A thrown error loses its class on the way; so it travels as data. */
export type Reply =
  { ok: true; value: unknown } | { ok: false; code: CoreErrorCode | 'failed'; message: string };

const refusal = (error: unknown): Reply => ({
  ok: false,
  code: error instanceof CoreError ? error.code : 'failed',
  message: error instanceof Error ? error.message : String(error),
});

/** Run a job and pack what comes of it. */
export function reply(job: () => unknown): Reply {
  try {
    return { ok: true, value: job() };
  } catch (error) {
    return refusal(error);
  }
}

/** The same with a job that answers later. */
export const replyLater = (job: () => Promise<unknown>): Promise<Reply> =>
  job().then((value): Reply => ({ ok: true, value }), refusal);

/** Unpack a reply, or throw what it says. */
export function unpack<T>(schema: z.ZodType<T>, answer: Reply): T {
  if (!answer.ok)
    throw answer.code === 'failed'
      ? new Error(answer.message)
      : new CoreError(answer.code, 'request', answer.message);
  return schema.parse(answer.value);
}
