import { CoreError } from '@/core/errors';
import type { Cabinet } from '@/core/cabinet';
import { readCabinet, readPainting, readStudio, type Studio } from '@/core/formats';
import type { Painting } from '@/core/painting';
import type { Unreadable } from './saving';

/** How documents are called in storage: one for the studio, one for the cabinet, one for each painting. */
export const STUDIO_KEY = 'studio';
export const CABINET_KEY = 'cabinet';
/** Where a cabinet that nobody could read is kept when a new one takes its place. */
export const SET_ASIDE_KEY = 'set-aside:cabinet';
export const PAINTING_PREFIX = 'painting:';
export const paintingKey = (id: string): string => `${PAINTING_PREFIX}${id}`;
export const isDocumentKey = (key: string): boolean =>
  key === STUDIO_KEY || key === CABINET_KEY || key.startsWith(PAINTING_PREFIX);

export interface Documents {
  studio: Studio | null;
  cabinet: Cabinet | null;
  paintings: Painting[];
  unreadable: Unreadable[];
}

/** Read stored documents of any known version. One that cannot be read is named and does not stop the others. */
export function readDocuments(stored: Record<string, string | null>): Documents {
  const out: Documents = { studio: null, cabinet: null, paintings: [], unreadable: [] };
  for (const [key, raw] of Object.entries(stored)) {
    if (raw === null) continue;
    try {
      if (key === STUDIO_KEY) out.studio = readStudio(JSON.parse(raw));
      else if (key === CABINET_KEY) out.cabinet = readCabinet(JSON.parse(raw));
      else out.paintings.push(readPainting(JSON.parse(raw)));
    } catch (error) {
      out.unreadable.push({
        key,
        message: error instanceof CoreError ? error.message : 'It is not JSON.',
        raw,
      });
    }
  }
  return out;
}
