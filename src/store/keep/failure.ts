/** What a browser says of its storage. */
export interface Room {
  usedBytes: number;
  allowedBytes: number;
}

/** A piece of the program that did not come: documents are checked by it before they are written. */
const PIECE = /loading module|dynamically imported|AsyncRequire/i;
const FULL = /quota|disk|space|full/i;
const CLOSED = /clos|not open|InvalidState|connection|not found|deleted/i;
const DENIED = /denied|secur|not allowed|not permitted|private|blocked|unavailable|undefined/i;

const kB = (bytes: number): string =>
  bytes >= 1e6 ? `${(bytes / 1e6).toFixed(1)} MB` : `${Math.max(1, Math.ceil(bytes / 1000))} kB`;

/**
 * Why storage did not do what it was asked, in a painter's words. Browsers word their errors each in their own way,
 * so they are known by what they have in common.
 * @param wantedBytes what was to be written
 */
export function whyNotStored(message: string, wantedBytes: number, room: Room | null): string {
  if (PIECE.test(message))
    return 'The part of the program that checks what is kept could not be loaded; the server may not answer';
  if (FULL.test(message)) {
    const free = room ? Math.max(0, room.allowedBytes - room.usedBytes) : 0;
    if (free >= wantedBytes)
      return "The browser's store takes no more, although the browser would allow it: this device itself may be full. Free some space on it";
    return (
      `The browser's store is full: ${kB(wantedBytes - free)} more is needed. ` +
      'Export the studio, then delete photos of old sessions where there are any, or free some space on this device'
    );
  }
  if (CLOSED.test(message))
    return 'The browser has closed its store; it may have been cleared in another window';
  if (DENIED.test(message))
    return 'The browser does not let this page store anything: a private window, or storage is switched off for it';
  return `The browser's store does not answer (${message.trim().replace(/\.$/, '') || 'no reason given'})`;
}
