import { z } from 'zod';
import type { Busy } from '@/core/formats/calendar-in';
import { unpack } from './protocol';
import { runner } from './runner';
import type { StudioFile } from './studio-file';

const busySchema: z.ZodType<Busy[]> = z.array(z.object({ fromMs: z.number(), toMs: z.number() }));

/** Long enough for years of entries on a slow phone. */
const MOST_MS = 15_000;

const fileWorker = () =>
  runner(
    () => new Worker(new URL('./files.worker', window.location.href)),
    async () => (await import('./files')).FILES,
  );
/** One each: a calendar that has to be ended must not take a studio with it that is just being read. */
const [calendars, studios] = [fileWorker(), fileWorker()];

/**
 * Busy times of a calendar file, read away from the screen: rules of calendars can turn for ever without yielding a
 * day, and then the worker is ended. Rejects with the reason.
 */
export async function readBusy(text: string, fromMs: number, toMs: number): Promise<Busy[]> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => {
      calendars.stop();
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
      await Promise.race([calendars.run((jobs) => jobs.busy(text, fromMs, toMs)), late]),
    );
  } finally {
    clearTimeout(timer);
  }
}

/** The worker has checked every document by its schema; what crosses is checked for being what it sends. */
const studioFileSchema: z.ZodType<StudioFile> = z.object({
  archive: z.boolean(),
  file: z.custom<StudioFile['file']>(
    (file) =>
      typeof file === 'object' && file !== null && 'paintings' in file && 'sessions' in file,
  ),
});

/** What a chosen file says, read away from the screen. Rejects with a CoreError in a painter's words. */
export const readStudio = async (file: Blob): Promise<StudioFile> =>
  unpack(studioFileSchema, await studios.run((jobs) => jobs.studio(file)));
