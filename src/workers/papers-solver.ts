import { exportFile } from '@/core/formats/export';
import type { Painting } from '@/core/painting/schema';
import { readTable } from '@/core/record/csv-in';
import { jsonInSvg } from '@/core/record/svg';
import type { Session } from '@/core/session/schema';
import { CoreError } from '@/core/errors';
import { labelPdf } from '@/core/record/label-pdf';
import { recordPdf } from '@/core/record/pdf';
import { jsonInPdf } from '@/core/record/pdf-in';
import { labelRequestSchema, pagesRequestSchema } from './papers-protocol';
import { replyLater, type Reply } from './protocol';

/** What is here already, for a table that only names it. */
export interface Here {
  paintings: Painting[];
  sessions: Session[];
}
const HEAD_BYTES = 16;
const byId = ({ paintings, sessions }: Here) => ({
  paintings: Object.fromEntries(paintings.map((p) => [p.id, p])),
  sessions: Object.fromEntries(sessions.map((x) => [x.id, x])),
});

/** The jobs of the worker that makes and reads pages. */
export const PAPERS = {
  pages: (raw: unknown): Promise<Reply> =>
    replyLater(async () => {
      const { photos, attached, ...input } = pagesRequestSchema.parse(raw);
      return recordPdf({ ...input, photos: new Map(photos), ...(attached ? { attached } : {}) });
    }),
  label: (raw: unknown): Promise<Reply> =>
    replyLater(async () => labelPdf(labelRequestSchema.parse(raw))),
  /** A record that a page or a drawing carries, or what a table adds to what is here, as an export. */
  record: (file: Blob, here: Here, now: string): Promise<Reply> =>
    replyLater(async () => {
      const bytes = new Uint8Array(await file.arrayBuffer());
      const head = new TextDecoder().decode(bytes.slice(0, HEAD_BYTES)).trimStart();
      if (head.startsWith('%PDF')) return { json: await jsonInPdf(bytes), bad: [] };
      const text = new TextDecoder().decode(bytes);
      if (head.startsWith('<')) {
        const json = jsonInSvg(text);
        if (json === null)
          throw new CoreError(
            'document-unreadable',
            'file',
            'This drawing carries no record. Choose one that Tawny Hour has made, or its JSON.',
          );
        return { json, bad: [] };
      }
      const { paintings, sessions, bad } = readTable(text, byId(here), { now });
      return {
        json: JSON.stringify(exportFile('painting', paintings, null, now, null, { sessions })),
        bad,
      };
    }),
};
export type Papers = typeof PAPERS;
