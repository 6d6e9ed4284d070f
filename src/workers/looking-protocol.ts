import { z } from 'zod';
import type { Change } from '@/core/looking/change';
import type { Looked } from '@/core/looking/look';
import { changeSchema, lookedSchema, lookedShape } from '@/core/looking/looked-schema';
import type { PassageValue } from '@/core/looking/values';
import { lookingSchema, pictureSchema } from '@/core/looking/schema';
import { MASS_WAYS } from '@/core/looking/masses';
import { supportSchema } from '@/core/painting/schema';

/** A picture as it is kept, with its photo. */
const shotSchema = z.object({ picture: pictureSchema, jpeg: z.string() });

export const lookRequestSchema = z.object({
  support: supportSchema,
  work: shotSchema,
  design: shotSchema.nullable(),
  before: shotSchema.nullable(),
  looking: lookingSchema,
  /** Passages that are still there. */
  passageIds: z.array(z.string()).max(60),
  /** Borders and what draws the eye: looked at only when they are asked for. */
  edges: z.boolean(),
  distancesM: z.array(z.number().positive()).max(6),
});
export type LookRequest = z.infer<typeof lookRequestSchema>;

export interface LookReply {
  looked: Looked;
  /** Of the design, by passage. */
  design: PassageValue[];
  change: Change | null;
  /** How far the photo before can be believed. */
  beforeLevel: Looked['trust']['level'] | null;
}

/** What is drawn of a picture on its support. */
export const mapRequestSchema = z.object({
  support: supportSchema,
  shot: shotSchema,
  view: z.enum(['colour', 'grey', 'masses', 'warmth']),
  k: z.number().int().min(2).max(9),
  way: z.enum(MASS_WAYS),
  /** Thresholds of another picture: one set serves both. */
  thresholds: z.array(z.number()).max(8).nullable(),
  squintMm: z.number().min(0).max(200),
  /** Seen from so far, m; null: from near. */
  distanceM: z.number().positive().nullable(),
  mostPx: z.number().int().min(50).max(2000),
});
export type MapRequest = z.infer<typeof mapRequestSchema>;

export interface MapReply {
  width: number;
  height: number;
  rgba: Uint8ClampedArray;
  thresholds: number[];
  /** Share of the picture in each mass, darkest first. */
  shares: number[];
}

/** Numbers come back from our own code in a worker: their shape is checked, not each of a million pixels. */
export const mapReplySchema = z.object({
  width: z.number().int().positive(),
  height: z.number().int().positive(),
  rgba: z.instanceof(Uint8ClampedArray),
  thresholds: z.array(z.number()),
  shares: z.array(z.number()),
});

const trustLevel = lookedShape.trust.shape.level;
const passageValueSchema: z.ZodType<PassageValue> = lookedShape.values.element.omit({
  sigmaL: true,
});
export const lookReplySchema: z.ZodType<LookReply> = z.object({
  looked: lookedSchema,
  design: z.array(passageValueSchema),
  change: changeSchema.nullable(),
  beforeLevel: trustLevel.nullable(),
});
