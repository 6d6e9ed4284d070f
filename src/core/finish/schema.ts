import { z } from 'zod';
import { SHEENS, VARNISH_TESTS } from '@/data/finish-keys';
import { idSchema } from '../id-schema';
import {
  FINAL_VARNISHES,
  FINISH_MOST,
  LOOKED,
  PACKINGS,
  SCAN_GRID,
  STOPPING_RULES,
} from './vocabulary';

const id = idSchema();
const timestamp = z.iso.datetime({
  error: 'Must be a date and time such as 2026-02-17T10:15:00.000Z.',
});

/** A look over the whole picture, square by square or passage by passage. */
export const scanSchema = z.object({
  id,
  way: z.enum(LOOKED),
  from: timestamp,
  /** Null while it lasts, or where it was broken off. */
  to: timestamp.nullable(),
  /** What has been looked at: squares by their number, passages by their id. */
  seen: z
    .array(
      z.union([
        z
          .int()
          .min(0)
          .max(SCAN_GRID * SCAN_GRID - 1),
        id,
      ]),
    )
    .max(40),
  by: z.enum(['squares', 'passages']),
});
export type Scan = z.infer<typeof scanSchema>;

/** The painter was asked whether the next edit would mend, or only change. */
export const mendAnswerSchema = z.object({ id, at: timestamp, mends: z.boolean() });

/** One test before the varnish, made on a witness dab or a hidden edge, never in the middle of the picture. */
export const varnishTestSchema = z.object({
  id,
  at: timestamp,
  test: z.enum(VARNISH_TESTS),
  passed: z.boolean(),
  /** The colour it was made on, for the swab; in words. */
  where: z.string().trim().max(60, { error: 'At most 60 letters.' }),
});
export type MadeTest = z.infer<typeof varnishTestSchema>;

export const varnishPlanSchema = z.object({
  material: z.enum(FINAL_VARNISHES),
  sheen: z.enum(SHEENS),
  coats: z
    .int({ error: 'The coats must be a whole number.' })
    .min(1, { error: 'At least one coat of varnish.' })
    .max(4, { error: 'At most four coats of varnish.' }),
});
export type VarnishPlan = z.infer<typeof varnishPlanSchema>;

const mm = (what: string, most: number) =>
  z
    .number({ error: `${what} must be a number of mm.` })
    .min(0, { error: `${what} cannot be below 0 mm.` })
    .max(most, { error: `${what} can be at most ${most} mm.` });

export const frameSchema = z.object({
  /** From the lip to the back of the frame. */
  rebateMm: mm('The rebate', 200),
  /** Stretcher or panel. */
  supportMm: mm('The depth of the support', 200),
  glazed: z.boolean(),
  /** Between picture and glass, or picture and lip. */
  spacerMm: mm('The spacer', 50),
});
export type FrameFacts = z.infer<typeof frameSchema>;

export const journeySchema = z.object({
  leavesAt: timestamp,
  days: z
    .number({ error: 'The days on the road must be a number.' })
    .min(0, { error: 'The days on the road cannot be below 0.' })
    .max(200, { error: 'At most 200 days on the road.' }),
  packing: z.enum(PACKINGS),
});
export type Journey = z.infer<typeof journeySchema>;

/** What is kept of the last tenth of a picture. */
export const finishingSchema = z.object({
  scans: z.array(scanSchema).max(FINISH_MOST.scans),
  answers: z.array(mendAnswerSchema).max(FINISH_MOST.answers),
  tests: z.array(varnishTestSchema).max(FINISH_MOST.tests),
  rule: z.enum(STOPPING_RULES).optional(),
  /** Hours agreed on, with a client or oneself. */
  agreedHours: z
    .number({ error: 'The hours must be a number.' })
    .positive({ error: 'The hours must be above 0.' })
    .max(10_000, { error: 'At most 10 000 hours.' })
    .optional(),
  varnish: varnishPlanSchema.optional(),
  frame: frameSchema.optional(),
  journey: journeySchema.optional(),
});
export type Finishing = z.infer<typeof finishingSchema>;
