import { z } from 'zod';
import { idSchema } from '../id-schema';
import { EDGE_KINDS } from './edge-kinds';
import { BRUSH, MOST } from './none';

/** What a painting keeps of its pictures: the pictures themselves are kept apart, under their ids. */

const id = idSchema();
const share = z.number().min(-1).max(2);
/** A place on a picture, shares of its width and height: it may lie a little outside. */
const place = z.tuple([share, share]);
const mm = z.number().min(-20_000).max(40_000);

export const PICTURE_KINDS = ['design', 'reference', 'progress'] as const;
export type PictureKind = (typeof PICTURE_KINDS)[number];

export const pictureSchema = z.object({
  /** Of the photo that is kept; a progress photo of the session log has the id it has there. */
  id,
  kind: z.enum(PICTURE_KINDS),
  /** What it is for, in the painter's words. */
  purpose: z.string().trim().max(80, { error: 'At most 80 letters.' }),
  takenAt: z.iso.datetime(),
  width: z.number().int().positive(),
  height: z.number().int().positive(),
  /** The painting's own upper left first, then as a clock goes; null until they are set. */
  corners: z.array(place).length(4).nullable(),
  /** Whether every side was found on the photo: its corners are then surer than a finger. */
  onEdges: z.boolean().optional(),
  /** Patches of known lightness beside the picture. */
  patches: z
    .array(z.object({ id, quad: z.array(place).length(4), L: z.number().min(0).max(100) }))
    .max(MOST.patches),
  /** Where the watched points of the drawing are on it. */
  marks: z.array(z.object({ id, at: place })).max(MOST.points),
});
export type Picture = z.infer<typeof pictureSchema>;

const ring = z.array(z.tuple([mm, mm])).min(3, { error: 'An outline has at least three places.' });

export const lookingSchema = z.object({
  pictures: z.array(pictureSchema).max(MOST.pictures),
  /** Of passages, under their ids; mm on the support, so that they lie right on every picture. */
  outlines: z
    .array(
      z.object({
        id,
        rings: z.array(ring).min(1).max(MOST.rings),
        above: z.number().int().min(0).max(MOST.above),
      }),
    )
    .max(MOST.outlines),
  /** What is meant to differ from the design, and how much each passage should draw the eye. */
  intents: z
    .array(
      z.object({
        id,
        /** Lighter by so much L*, darker where negative; "free": not compared; null: as in the design. */
        departs: z.union([z.number().min(-100).max(100), z.literal('free')]).nullable(),
        why: z.string().trim().max(200, { error: 'At most 200 letters.' }),
        /** Its place among those that should draw the eye, 1 first; absent: anywhere. */
        rank: z.number().int().min(1).max(MOST.outlines).optional(),
        /** Its lightness runs from one end to the other. */
        graded: z.boolean().optional(),
      }),
    )
    .max(MOST.outlines),
  /** How the border of two passages is meant; its id holds both of theirs. */
  borders: z
    .array(z.object({ id: z.string().max(200), a: id, b: id, kind: z.enum(EDGE_KINDS) }))
    .max(MOST.borders),
  /** Points of the drawing that are watched, mm on the support. */
  points: z
    .array(z.object({ id, name: z.string().trim().min(1).max(60), at: z.tuple([mm, mm]) }))
    .max(MOST.points),
  /** How wide the finest brush at hand paints, mm. */
  finestBrushMm: z.number().min(BRUSH.least).max(BRUSH.most).optional(),
});
export type Looking = z.infer<typeof lookingSchema>;
