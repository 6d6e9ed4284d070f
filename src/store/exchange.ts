import type { StudioRecord } from '@/core/formats/bring-in';
import { sealText, unseal } from '@/core/formats/seal';
import { inSlices } from './in-slices';
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

/** As JSON.stringify would write it, document by document: of years it is long, and the page answers meanwhile. */
async function textOf({ record, ...about }: Exchange): Promise<string> {
  const kinds: string[] = [];
  for (const [kind, documents] of Object.entries(record)) {
    const each = function* () {
      for (const [id, document] of Object.entries(documents))
        yield `${JSON.stringify(id)}:${JSON.stringify(document)}`;
    };
    kinds.push(`"${kind}":{${(await inSlices(each())).join()}}`);
  }
  return `${JSON.stringify(about).slice(0, -1)},"record":{${kinds.join()}}}`;
}

/** Kept where there is room; without it a later merge asks more, and loses nothing. */
export async function noteExchange(storage: Storage, exchange: Exchange): Promise<void> {
  const last: LastFile = { at: exchange.at, entries: entriesOf(exchange.record) };
  await storage.setItem(LAST_KEY, JSON.stringify(last)).catch(() => undefined);
  try {
    await storage.setItem(KEY, sealText(await textOf(exchange)));
  } catch {
    await storage.removeItem(KEY).catch(() => undefined);
  }
}

/** When the last file was written or read, and how much had been entered by then. */
export interface LastFile {
  at: string;
  entries: number;
}
const LAST_KEY = 'last-file';

/** How often something was entered or changed: every change counts its document up. */
export const entriesOf = (record: StudioRecord): number =>
  (['painting', 'session', 'plan', 'cabinet'] as const)
    .flatMap((kind) => Object.values(record[kind]))
    .reduce((sum, { revision }) => sum + revision, 0);

/** The short note of it, since it is looked at often; null where no file was written or read. */
export async function readLastFile(storage: Pick<Storage, 'getItem'>): Promise<LastFile | null> {
  const raw = await storage.getItem(LAST_KEY).catch(() => null);
  try {
    const { at, entries } = JSON.parse(raw ?? 'null') as LastFile;
    if (Number.isFinite(Date.parse(at)) && Number.isFinite(entries)) return { at, entries };
  } catch {
    // Torn, or none: then the long one tells.
  }
  // A studio whose last file was written before the short note was kept.
  const exchange = await readExchange(storage);
  return exchange && { at: exchange.at, entries: entriesOf(exchange.record) };
}
