import { z } from 'zod';
import { LEFT_FRACTION, REMOVAL_TOOLS, type Left } from '@/data/applications';
import { HOW_REDUCED, siteKey, type HowReduced, type Painting } from '@/core/painting';
import { isUntouched } from '@/core/painting/passages';
import { spotSchema } from '@/core/painting/schema';
import { laidParts } from '@/core/painting/sites';
import type { RemovalEntry } from '@/core/painting/record';
import { whenSchema } from './laying-form';

const LEFT = Object.keys(LEFT_FRACTION) as [Left, ...Left[]];

/** What is said of paint that is taken off. */
export const removalFormSchema = z.object({
  how: z.enum(HOW_REDUCED),
  tool: z.enum(REMOVAL_TOOLS).nullable(),
  /** On the paint in hand, not on what lay there before. */
  onHand: z.boolean(),
  /** As far as the paint in hand has got: a part of its passages; null where it is all laid. */
  laid: spotSchema.nullable(),
  /** What is left, by place (`siteKey`); a place that is not named is left alone. */
  left: z.record(z.string(), z.enum(LEFT)),
  /** Only a part of the passages, called so. */
  part: spotSchema.nullable(),
  repaint: z.boolean(),
  when: whenSchema,
});
export type RemovalForm = z.infer<typeof removalFormSchema>;

export const HOW_NAMES: Record<HowReduced, string> = {
  wiped: 'wiped',
  scraped: 'scraped',
  sanded: 'sanded',
  'painted-out': 'painted out',
};

export interface RemovalPlace {
  key: string;
  name: string;
  passageId: string;
  spotName: string | null;
}

/** Everywhere paint lies, or is in hand: passages, each followed by its spots. */
export function placesOf(painting: Painting, inHandIds: string[]): RemovalPlace[] {
  return painting.passages.flatMap(({ id, name }): RemovalPlace[] => {
    if (isUntouched(painting, id) && !inHandIds.includes(id)) return [];
    const place = (spotName: string | null): RemovalPlace => ({
      key: siteKey({ passageId: id, spotName }),
      name: spotName === null ? name : `${name}, ${spotName}`,
      passageId: id,
      spotName,
    });
    return [place(null), ...laidParts(painting, id).map((part) => place(part.spotName))];
  });
}

/** The places of an entry, as they were chosen. */
export function chosenPlaces(
  places: RemovalPlace[],
  { left, part, how }: RemovalForm,
): RemovalEntry['places'] {
  return places.flatMap(({ key, passageId, spotName }) => {
    const of = left[key];
    if (of === undefined) return [];
    const named =
      part && spotName === null ? { spotName: part.name, share: part.share } : { spotName };
    return [{ passageId, ...named, left: how === 'painted-out' ? ('all' as const) : of }];
  });
}
