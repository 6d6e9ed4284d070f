import { CoreError } from '../errors';
import type { Coat, Painting } from './schema';

/** Where ids and the time come from; the core has no clock and no randomness of its own. */
export interface Making {
  newId: () => string;
  /** ISO date and time, UTC. */
  now: string;
}

/** Allow for clocks of two devices that differ a little. */
export const FUTURE_SLACK_MS = 60_000;

/** The painting with a change in it, counted and dated. */
export const changed = (
  painting: Painting,
  making: Pick<Making, 'now'>,
  change: Partial<Painting>,
): Painting => ({
  ...painting,
  ...change,
  revision: painting.revision + 1,
  updatedAt: making.now,
});

/** The coat of that id. Throws `unknown-coat`. */
export function coatOf(painting: Painting, coatId: string): Coat {
  const coat = painting.coats.find((c) => c.id === coatId);
  if (!coat)
    throw new CoreError(
      'unknown-coat',
      'coatId',
      `This painting has no coat "${coatId}". Reload the painting.`,
    );
  return coat;
}

/** Throws `unknown-passage` for an id that the painting does not have. */
export function requirePassages(painting: Painting, ids: string[]): void {
  const missing = ids.find((id) => !painting.passages.some((p) => p.id === id));
  if (missing !== undefined) {
    throw new CoreError(
      'unknown-passage',
      'passageIds',
      `This painting has no passage "${missing}". Reload the painting.`,
    );
  }
}

/** Milliseconds of a time that is not in the future. Throws `date-invalid`, `date-in-future`. */
export function pastMs(at: string, now: string): number {
  const ms = Date.parse(at);
  if (Number.isNaN(ms))
    throw new CoreError(
      'date-invalid',
      'at',
      'That is not a date and time. Choose one from the list or enter it again.',
    );
  if (ms > Date.parse(now) + FUTURE_SLACK_MS) {
    throw new CoreError(
      'date-in-future',
      'at',
      'That time is still to come. A coat can be laid now or earlier.',
    );
  }
  return ms;
}
