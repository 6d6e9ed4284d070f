import { z } from 'zod';
import { airRecordSchema } from '@/core/climate/record';
import { cabinetSchema } from '@/core/cabinet/schema';
import { labSchema } from '@/core/cabinet/swatch-schema';
import { climateSchema } from '@/core/drying/climate-schema';
import { mediumPartSchema, recipeSchema, tubePartSchema } from '@/core/film/recipe';
import { learnedSchema } from '@/core/learn/learned-schema';
import { paintingSchema } from '@/core/painting/schema';
import type { PassageFound } from '@/core/glaze/for-passage';

/** What goes into the search for a glaze and what comes out of it. */
export const targetRequestSchema = z.object({
  painting: paintingSchema,
  passageId: z.string(),
  /** Whose colours and swatches count. */
  cabinet: cabinetSchema,
  tubes: z.array(tubePartSchema).min(1).max(60),
  medium: z.array(mediumPartSchema),
  mediumName: z.string().optional(),
  mostMediumShare: z.number().min(0).lt(1),
  leastUm: z.number().positive(),
  mostUm: z.number().positive(),
  usualUm: z.number().positive(),
  uneven: z.number().min(0).lt(1),
  wanted: labSchema,
  mostPaints: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  climate: climateSchema,
  air: airRecordSchema.nullable(),
  learned: learnedSchema.nullable(),
  nowMs: z.number(),
});
export type TargetRequest = z.infer<typeof targetRequestSchema>;

const lab = z.tuple([z.number(), z.number(), z.number()]);
const answer = z.object({
  recipe: recipeSchema,
  paints: z.array(z.number()),
  tubeUm: z.number(),
  lab,
  de: z.number(),
  between: z.tuple([lab, lab]),
  touchDays: z.number().nullable(),
  ml: z.number(),
  neighbours: z.array(z.object({ name: z.string(), before: z.number(), after: z.number() })),
  objection: z.string().nullable(),
});
export const targetFoundSchema: z.ZodType<PassageFound> = z.object({
  answers: z.array(answer),
  reached: z.boolean(),
  painted: answer.nullable(),
  refused: z.number(),
  stopped: z.boolean(),
  now: lab,
});
