import { FUTURE_SLACK_MS } from '@/core/painting/making';
import { sessionSchema } from '@/core/session/schema';

const DAY_MS = 86_400_000;

/** What may be corrected of a session later: goal, what was reached, note, its beginning and its end. */
export const correctionSchema = (nowMs: number) =>
  sessionSchema
    .pick({ startedAt: true, endedAt: true, goal: true, reached: true, note: true })
    .superRefine(({ startedAt, endedAt }, context) => {
      if (Date.parse(startedAt) > nowMs + FUTURE_SLACK_MS)
        context.addIssue({
          code: 'custom',
          path: ['startedAt'],
          message: 'That is still to come. It can have begun now or earlier.',
        });
      if (endedAt === null) return;
      const [from, to] = [Date.parse(startedAt), Date.parse(endedAt)];
      const wrong =
        to < from
          ? 'It would end before it begins. Give a later end.'
          : to > nowMs + FUTURE_SLACK_MS
            ? 'That is still to come. Look at the day and the year; it can end now or earlier.'
            : to - from > DAY_MS
              ? 'It would last longer than a day. Look at the day and the year; what went on later is a session of its own.'
              : null;
      if (wrong) context.addIssue({ code: 'custom', path: ['endedAt'], message: wrong });
    });
