import { z } from 'zod';
import { idSchema } from '../id-schema';
import { COST_KINDS, COSTS_MOST, OUTCOMES, SHOWN_AT } from './vocabulary';

const id = idSchema();
const timestamp = z.iso.datetime({
  error: 'Must be a date and time such as 2026-02-17T10:15:00.000Z.',
});
const MOST_MINOR = 100_000_000_000;

/** Money in the smallest coin of the painter's currency: a whole number, so that no sum is ever off by a part of one. */
export const minorSchema = z
  .int({ error: 'Must be an amount of money, such as 12.50.' })
  .min(0, { error: 'An amount cannot be below 0.' })
  .max(MOST_MINOR, { error: 'The amount is too high.' });

const who = z
  .string()
  .trim()
  .min(1, { error: 'Say to whom.' })
  .max(120, { error: 'At most 120 letters.' });

export const percentSchema = z
  .number({ error: 'Must be a number of %.' })
  .min(0, { error: 'Cannot be below 0 %.' })
  .max(100, { error: 'Cannot be over 100 %.' });

export const costSchema = z.object({
  id,
  kind: z.enum(COST_KINDS),
  what: z.string().trim().max(120, { error: 'At most 120 letters.' }),
  minor: minorSchema,
});
export type Cost = z.infer<typeof costSchema>;

export const submissionSchema = z.object({
  id,
  to: who,
  kind: z.enum(SHOWN_AT),
  sentAt: timestamp,
  outcome: z.enum(OUTCOMES),
  answeredAt: timestamp.nullable(),
  feeMinor: minorSchema,
});
export type Submission = z.infer<typeof submissionSchema>;

export const saleSchema = z.object({
  at: timestamp,
  to: who,
  /** What the buyer paid, before the gallery's share. */
  gotMinor: minorSchema,
  commissionPct: percentSchema,
});
export type Sale = z.infer<typeof saleSchema>;

/** What is kept of a picture's money. */
export const accountsSchema = z.object({
  costs: z.array(costSchema).max(COSTS_MOST.costs),
  submissions: z.array(submissionSchema).max(COSTS_MOST.submissions),
  askedMinor: minorSchema.optional(),
  sale: saleSchema.optional(),
  /** How much of the study's hours and cost this picture bears, %. */
  studyPct: percentSchema.optional(),
});
export type Accounts = z.infer<typeof accountsSchema>;

/** What holds for all pictures. */
export const moneySchema = z.object({
  /** ISO 4217. */
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/, { error: 'A currency is three capital letters, such as EUR.' })
    .optional(),
  perHourMinor: minorSchema.optional(),
  commissionPct: percentSchema.optional(),
});
export type Money = z.infer<typeof moneySchema>;
