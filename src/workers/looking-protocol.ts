import { z } from 'zod';
import type { Change } from '@/core/looking/change';
import type { Looked } from '@/core/looking/look';
import { changeSchema, lookedSchema, lookedShape } from '@/core/looking/looked-schema';
import type { PassageValue } from '@/core/looking/values';
import { lookingSchema, pictureSchema } from '@/core/looking/schema';
import { MASS_CHOICES } from '@/core/looking/masses';
import { MAP_VIEWS, type DrawnMap } from '@/core/looking/maps';
import type { MarksSeen } from '@/core/looking/marks';
import type { Point } from '@/core/looking/photo';
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
  /** How wide the finest brush paints, mm: marks finer than it are then looked for, from the first distance. */
  brushMm: z.number().positive().nullable(),
  /** From how far borders are judged, m. */
  viewM: z.number().positive().max(100),
});
export type LookRequest = z.infer<typeof lookRequestSchema>;

export interface LookReply {
  looked: Looked;
  /** Of the design, by passage. */
  design: PassageValue[];
  change: Change | null;
  /** How far the photo before can be believed. */
  beforeLevel: Looked['trust']['level'] | null;
  /** How the passages that grade run in the design. */
  designGraded: Looked['graded'];
  /** Lightness of each passage in steps of two L*, shares. */
  histograms: { id: string; work: number[]; design: number[] | null }[];
  marks: MarksSeen | null;
}

/** Where the corners of a picture are on its photo: proposed, or those of a finger moved to its sides. */
export const cornersRequestSchema = z.object({
  support: supportSchema,
  jpeg: z.string(),
  /** Shares of the photo; null: nobody set them yet. */
  corners: pictureSchema.shape.corners,
});
export type CornersRequest = z.infer<typeof cornersRequestSchema>;
export interface CornersReply {
  /** Shares of the photo; null where nothing stands out. */
  corners: Point[] | null;
  /** Whether every side was found. */
  found: boolean;
}
export const cornersReplySchema: z.ZodType<CornersReply> = z.object({
  corners: z
    .array(z.tuple([z.number(), z.number()]).readonly())
    .length(4)
    .nullable(),
  found: z.boolean(),
});

/** One photo held against the one before: a step of the row. */
export const stepRequestSchema = lookRequestSchema
  .pick({ support: true, looking: true, passageIds: true })
  .extend({ before: shotSchema.nullable(), now: shotSchema });
export type StepRequest = z.infer<typeof stepRequestSchema>;
export interface StepReply {
  values: PassageValue[];
  level: Looked['trust']['level'];
  change: Change | null;
}

/** What is drawn of a picture on its support. */
export const mapRequestSchema = z.object({
  support: supportSchema,
  shot: shotSchema,
  /** The design, for the view of the difference. */
  against: shotSchema.nullable(),
  view: z.enum(MAP_VIEWS),
  k: z.number().int().min(2).max(9),
  way: z.enum(MASS_CHOICES),
  thresholds: z.array(z.number()).max(8).nullable(),
  squintMm: z.number().min(0).max(200),
  distanceM: z.number().positive().nullable(),
  mostPx: z.number().int().min(50).max(2000),
  key: z.union([z.object({ slope: z.number(), intercept: z.number() }), z.literal('fit')]),
});
export type MapRequest = z.infer<typeof mapRequestSchema>;

export type MapReply = DrawnMap;

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
  designGraded: lookedShape.graded,
  histograms: z.array(
    z.object({
      id: z.string(),
      work: z.array(z.number()),
      design: z.array(z.number()).nullable(),
    }),
  ),
  marks: z.object({ share: z.number(), seen: z.number().nullable() }).nullable(),
});

export const stepReplySchema: z.ZodType<StepReply> = z.object({
  values: z.array(passageValueSchema),
  level: trustLevel,
  change: changeSchema.nullable(),
});
