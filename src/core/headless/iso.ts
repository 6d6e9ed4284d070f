/** The last moment that the usual form of a date can write. */
const LAST_MS = Date.UTC(9999, 11, 31);

/** A moment as verbs write it; null where drying stands still, never ends, or ends in a year that no calendar writes. */
export const iso = (ms: number | null): string | null =>
  ms === null || !(ms <= LAST_MS) ? null : new Date(ms).toISOString();
