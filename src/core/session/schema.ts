import { z } from 'zod';
import { idSchema, revisionSchema } from '../id-schema';
import { SESSION_SCHEMA_VERSION } from '../editions';
import { REACHED } from './vocabulary';
import { recipeSchema } from '../film/recipe';

const id = idSchema();
const timestamp = z.iso.datetime({
  error: 'Must be a date and time such as 2026-02-17T10:15:00.000Z.',
});
const text = (most: number) =>
  z
    .string()
    .trim()
    .max(most, { error: `At most ${most} letters.` });
const minutes = z
  .number({ error: 'Must be a number of minutes.' })
  .min(1, { error: 'At least 1 minute.' })
  .max(24 * 60, { error: 'At most a day.' });

/** A stretch of time; open while it lasts. */
const stretchSchema = z.object({ from: timestamp, to: timestamp.nullable() });
export type Stretch = z.infer<typeof stretchSchema>;

/** A coat worked on passages of one painting, or work without a coat (looking, drawing). */
const workSchema = z.object({
  id,
  paintingId: id,
  passageIds: z.array(id),
  coatId: id.nullable(),
  /** As it was called then. */
  name: text(120),
  plannedMinutes: minutes.nullable(),
  stretches: z.array(stretchSchema).max(200),
  done: z.boolean(),
});
export type Work = z.infer<typeof workSchema>;

/** A mix on the palette with its own clock. */
const mixSchema = z.object({
  id,
  name: text(60).min(1, { error: 'Needs a name.' }),
  recipe: recipeSchema,
  /** ml put out; null when nobody measured. */
  ml: z.number().positive().max(2000).nullable(),
  madeAt: timestamp,
  /** Covered and put in the cool from then on. */
  coveredAt: timestamp.nullable(),
  /** Thrown away or used up. */
  goneAt: timestamp.nullable(),
});
export type PaletteMix = z.infer<typeof mixSchema>;

/** A photo of the work: the picture itself is kept apart, under its id. */
const photoSchema = z.object({
  id,
  paintingId: id.nullable(),
  takenAt: timestamp,
  width: z.number().int().positive(),
  height: z.number().int().positive(),
});
export type SessionPhoto = z.infer<typeof photoSchema>;

export const sessionSchema = z.object({
  schemaVersion: z.literal(SESSION_SCHEMA_VERSION),
  id,
  revision: revisionSchema,
  startedAt: timestamp,
  endedAt: timestamp.nullable(),
  /** Interruptions. */
  pauses: z.array(stretchSchema).max(200),
  /** The time box, minutes; null without one. */
  boxMinutes: minutes.nullable(),
  goal: text(300),
  reached: z.enum(REACHED).nullable(),
  note: text(4000),
  works: z.array(workSchema).max(200),
  palette: z.array(mixSchema).max(100),
  photos: z.array(photoSchema).max(200),
});
export type Session = z.infer<typeof sessionSchema>;
