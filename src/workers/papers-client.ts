import { z } from 'zod';
import { bytesSchema, type LabelRequest, type PagesRequest } from './papers-protocol';
import type { Here, Papers } from './papers-solver';
import { unpack } from './protocol';
import { runner } from './runner';

const workers = runner<Papers>(
  () => new Worker(new URL('./papers.worker', window.location.href)),
  async () => (await import('./papers-solver')).PAPERS,
);

/** A record as a PDF. Rejects with the reason. */
export const makePages = async (request: PagesRequest): Promise<Uint8Array> =>
  unpack(bytesSchema, await workers.run((jobs) => jobs.pages(request)));

/** A label for the back as a PDF. */
export const makeLabel = async (request: LabelRequest): Promise<Uint8Array> =>
  unpack(bytesSchema, await workers.run((jobs) => jobs.label(request)));

const recordSchema = z.object({
  json: z.string(),
  bad: z.array(z.object({ line: z.number(), problem: z.string() })),
});
export type ReadRecord = z.infer<typeof recordSchema>;

/** What a page, a drawing or a table brings, as an export. Rejects with a CoreError in a painter's words. */
export const readRecord = async (file: Blob, here: Here, now: string): Promise<ReadRecord> =>
  unpack(recordSchema, await workers.run((jobs) => jobs.record(file, here, now)));
