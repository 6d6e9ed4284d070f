import { z } from 'zod';

/** The room that is painted in, for what evaporates in it. */
export const roomSchema = z
  .object({
    volumeM3: z
      .number({ error: 'The volume must be a number of m³.' })
      .min(5, { error: 'A room has at least 5 m³.' })
      .max(5000, { error: 'At most 5000 m³.' }),
    /** Fresh air an hour, in volumes of the room; from and to, since nobody knows it well. */
    changesLeast: z
      .number({ error: 'The air changes must be a number.' })
      .min(0.05, { error: 'A closed room still has 0.05 air changes an hour.' })
      .max(60, { error: 'At most 60 air changes an hour.' }),
    changesMost: z
      .number({ error: 'The air changes must be a number.' })
      .min(0.05, { error: 'A closed room still has 0.05 air changes an hour.' })
      .max(60, { error: 'At most 60 air changes an hour.' }),
  })
  .refine((room) => room.changesLeast <= room.changesMost, {
    path: ['changes'],
    error: 'The most air changes cannot be fewer than the least.',
  });
export type Room = z.infer<typeof roomSchema>;
