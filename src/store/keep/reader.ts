import { loadKit } from '@/pieces';
import type { DocumentKind, Kind, Kinds } from './documents';

/**
 * Reads and checks documents by their schemas. The schemas are a large part of the program and what opens a studio
 * seldom needs them (see core/formats/seal.ts), so they come when they are first asked for.
 */
export interface Reader {
  /** A document of any known edition, brought up to this one. Throws a CoreError that names the field. */
  read<K extends Kind>(kind: K, raw: unknown): Kinds[K];
  /** Why a document could not be read again if it were kept, e.g. "title: At most 120 letters."; null where it could. */
  whyNotKept<K extends DocumentKind>(kind: K, document: Kinds[K]): string | null;
}

let loading: Promise<Reader> | null = null;
let here: Reader | null = null;

/** Fetched once; a fetch that failed is tried again the next time. */
export function loadReader(): Promise<Reader> {
  loading ??= loadKit()
    .then(() => import('./read-documents'))
    .then(
      ({ reader }) => (here = reader),
      (error: unknown) => {
        loading = null;
        throw error;
      },
    );
  return loading;
}

/** The reader, where it has come; nothing waits for it. */
export const readerIfHere = (): Reader | null => here;
