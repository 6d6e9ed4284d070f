import { z } from 'zod';
import type { Busy } from '@/core/formats/calendar-in';
import { unpack } from './protocol';
import { runner } from './runner';

const busySchema: z.ZodType<Busy[]> = z.array(z.object({ fromMs: z.number(), toMs: z.number() }));

/** Long enough for years of entries on a slow phone. */
const MOST_MS = 15_000;

const reader = runner(
  () => new Worker(new URL('./calendar.worker', window.location.href)),
  async () => (await import('./calendars')).CALENDARS,
);

/**
 * Busy times of a calendar file, read away from the screen: rules of calendars can turn for ever without yielding a
 * day, and then the worker is ended. Rejects with the reason.
 */
export async function readBusy(text: string, fromMs: number, toMs: number): Promise<Busy[]> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => {
      reader.stop();
      reject(
        new RangeError(
          'The calendar repeats something by a rule that never comes to an end or never happens. Take that entry out and export it again.',
        ),
      );
    }, MOST_MS);
  });
  try {
    return unpack(
      busySchema,
      await Promise.race([reader.run((jobs) => jobs.busy(text, fromMs, toMs)), late]),
    );
  } finally {
    clearTimeout(timer);
  }
}
