import { CoreError } from '@/core/errors';
import { readPainting, readStudio, type Studio } from '@/core/formats';
import type { Painting } from '@/core/painting';
import type { Unreadable } from './saving';

/** How documents are called in storage: one for the studio, one for each painting. */
export const STUDIO_KEY = 'studio';
export const PAINTING_PREFIX = 'painting:';
export const paintingKey = (id: string): string => `${PAINTING_PREFIX}${id}`;
export const isDocumentKey = (key: string): boolean =>
  key === STUDIO_KEY || key.startsWith(PAINTING_PREFIX);

export interface Documents {
  studio: Studio | null;
  paintings: Painting[];
  unreadable: Unreadable[];
}

/** Read stored documents of any known version. One that cannot be read is named and does not stop the others. */
export function readDocuments(stored: Record<string, string | null>): Documents {
  const out: Documents = { studio: null, paintings: [], unreadable: [] };
  for (const [key, raw] of Object.entries(stored)) {
    if (raw === null) continue;
    try {
      if (key === STUDIO_KEY) out.studio = readStudio(JSON.parse(raw));
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
