import { recordOf } from '@/store/bring-in';
import { entriesOf, type LastFile } from '@/store/exchange';
import type { Room } from '@/store/keep/failure';
import type { State } from '@/store/store';

const DAY_MS = 86_400_000;
/** After so many days, and so many entries, a file is overdue: what a painter would hate to do again. */
const OVERDUE = { days: 30, entries: 10 };
/** Where there was never a file, the days cannot be told; then so many entries. */
const OVERDUE_FIRST = 40;

/** What was entered or changed since the last file. */
export const entriesSince = (state: State, last: LastFile | null): number =>
  Math.max(0, entriesOf(recordOf(state)) - (last?.entries ?? 0));

const entries = (n: number): string => `${n} ${n === 1 ? 'entry' : 'entries'}`;

/** When the last file was written or read, and what was entered since. */
export function exportWords(
  last: LastFile | null,
  since: number,
  nowMs: number,
): { words: string; overdue: boolean } {
  if (!last)
    return {
      words:
        since === 0
          ? 'No file was written yet.'
          : `No file was written yet; ${entries(since)} would be lost with this browser.`,
      overdue: since >= OVERDUE_FIRST,
    };
  const days = Math.max(0, Math.floor((nowMs - Date.parse(last.at)) / DAY_MS));
  const when = days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`;
  return {
    words: `The last file was written or read ${when}; ${since === 0 ? 'nothing' : entries(since)} since.`,
    overdue: days >= OVERDUE.days && since >= OVERDUE.entries,
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
