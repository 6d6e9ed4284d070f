import { sessionSchema } from '@/core/session/schema';

/** What may be corrected of a session later: goal, what was reached, note and the end. */
export const correctionSchema = sessionSchema
  .pick({ startedAt: true, endedAt: true, goal: true, reached: true, note: true })
  .refine((s) => s.endedAt === null || Date.parse(s.endedAt) >= Date.parse(s.startedAt), {
    path: ['endedAt'],
    error: 'It would end before it begins. Give a later end.',
  });
