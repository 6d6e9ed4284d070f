import { recordOf } from '@/store/bring-in';
import type { Exchange } from '@/store/exchange';
import type { Room } from '@/store/keep/failure';
import type { State } from '@/store/store';

const DAY_MS = 86_400_000;
/** After so many days, and so many changed documents, an export is overdue: what a painter would hate to do again. */
const OVERDUE = { days: 30, documents: 5 };

/** Paintings, sessions and the like that are new or changed since the last file. */
export function changedSince(state: State, exchange: Exchange | null): number {
  const now = recordOf(state);
  return (['painting', 'session', 'plan'] as const).reduce(
    (sum, kind) =>
      sum +
      Object.entries(now[kind]).filter(
        ([id, document]) => exchange?.record[kind][id]?.revision !== document.revision,
      ).length,
    0,
  );
}

const counted = (n: number, one: string): string => `${n} ${n === 1 ? one : `${one}s`}`;

/** When the last file was written or read, and what has changed since. */
export function exportWords(
  exchange: Exchange | null,
  changed: number,
  nowMs: number,
): { words: string; overdue: boolean } {
  if (!exchange)
    return {
      words:
        changed === 0
          ? 'No file was written yet.'
          : `No file was written yet; ${counted(changed, 'document')} would be lost with this browser.`,
      overdue: changed >= OVERDUE.documents,
    };
  const days = Math.max(0, Math.floor((nowMs - Date.parse(exchange.at)) / DAY_MS));
  const when = days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`;
  return {
    words: `The last file was written or read ${when}; ${changed === 0 ? 'nothing has' : counted(changed, 'document')} changed since.`,
    overdue: days >= OVERDUE.days && changed >= OVERDUE.documents,
  };
}

const MB = 1e6;
const GB = 1e9;
const about = (bytes: number): string =>
  bytes >= GB ? `${Math.round(bytes / GB)} GB` : `${Math.round(bytes / MB)} MB`;

/** Whether the browser may clear the store, and how full it is. */
export function roomWords(persistent: boolean | null, room: Room | null): string {
  const may =
    persistent === null
      ? 'The browser does not say whether it may clear this store by itself.'
      : persistent
        ? 'The browser does not clear this store by itself.'
        : 'The browser may clear this store by itself when room runs out: a file is the safe copy.';
  if (!room || room.allowedBytes <= 0) return may;
  const used = (room.usedBytes / MB).toFixed(room.usedBytes < 10 * MB ? 1 : 0);
  return `${may} ${used} MB of about ${about(room.allowedBytes)} are used.`;
}
