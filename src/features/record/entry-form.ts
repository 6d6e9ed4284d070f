import { z } from 'zod';
import { LEFT_FRACTION, type Left } from '@/data/applications';
import { FINDINGS } from '@/data/learning';
import { FUTURE_SLACK_MS } from '@/core/painting/making';
import { spotSchema } from '@/core/painting/schema';
import type { PaintingEvent } from '@/core/painting';
import type { EntryCorrection } from '@/core/painting/correct';

const LEFT = Object.keys(LEFT_FRACTION) as [Left, ...Left[]];

/** What may be corrected of an entry. What does not concern its kind is null. */
export const entryFormSchema = (nowMs: number) =>
  z.object({
    at: z.iso
      .datetime({ error: 'That is not a date and time. Write it as day, month, year and hour.' })
      .refine((at) => Date.parse(at) <= nowMs + FUTURE_SLACK_MS, {
        error: 'That is still to come. It can have been done now or earlier.',
      }),
    spot: spotSchema.nullable(),
    intoWet: z.boolean().nullable(),
    left: z.enum(LEFT).nullable(),
    finding: z.enum(FINDINGS).nullable(),
  });
export type EntryForm = z.infer<ReturnType<typeof entryFormSchema>>;

export const entryFormOf = (event: PaintingEvent): EntryForm => ({
  at: event.at,
  spot: event.kind === 'laid' ? event.spot : null,
  intoWet: event.kind === 'laid' ? event.intoWet : null,
  left: event.kind === 'reduced' ? event.left : null,
  finding: event.kind === 'touched' ? event.finding : null,
});

/** Only what was changed, so that nothing else is taken for said by the painter. */
export function correctionOf(event: PaintingEvent, value: EntryForm): EntryCorrection {
  const was = entryFormOf(event);
  const change: EntryCorrection = {};
  if (value.at !== was.at) change.at = value.at;
  if (JSON.stringify(value.spot) !== JSON.stringify(was.spot)) change.spot = value.spot;
  if (value.intoWet !== null && value.intoWet !== was.intoWet) change.intoWet = value.intoWet;
  if (value.left !== null && value.left !== was.left) change.left = value.left;
  if (value.finding !== null && value.finding !== was.finding) change.finding = value.finding;
  return change;
}
