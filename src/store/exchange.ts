import type { StudioRecord } from '@/core/formats/bring-in';
import { seal, unseal } from '@/core/formats/seal';
import type { Storage } from './storage';

/**
 * What this studio last wrote to a file, or read from one: what it then was, and the files that it descends from. A
 * file that descends from it can be merged with what both had in common; of any other nobody knows.
 */
export interface Exchange {
  /** Of the file. */
  id: string;
  /** When it was written or read, ISO. */
  at: string;
  lineage: string[];
  record: StudioRecord;
}

const KEY = 'exchange';
/** Older ancestors are forgotten: nobody goes back so many files. */
const LINEAGE_MOST = 200;

export const lineageWith = (exchange: Exchange | null, ...ids: string[]): string[] =>
  [...new Set([...(exchange?.lineage ?? []), ...ids])].slice(-LINEAGE_MOST);

/** Null where there was none, or it cannot be read: then what both had in common is worked out from what they have. */
export async function readExchange(storage: Pick<Storage, 'getItem'>): Promise<Exchange | null> {
  try {
    const raw = await storage.getItem(KEY);
    return raw === null ? null : (unseal(raw) as Exchange | null);
  } catch {
    return null;
  }
}

/** Kept where there is room; without it a later merge asks more, and loses nothing. */
export async function noteExchange(storage: Storage, exchange: Exchange): Promise<void> {
  try {
    await storage.setItem(KEY, seal(exchange));
  } catch {
    await storage.removeItem(KEY).catch(() => undefined);
  }
}
