import type { Finding } from '@/data/learning';
import { CoreError } from '../errors';
import { changed, pastMs, requirePassages, type Making } from './making';
import type { Painting, TouchedEvent } from './schema';
import { sameSpot } from './sites';

export interface Touching {
  passageId: string;
  spotName: string | null;
  at: string;
  finding: Finding;
  twistMarks: boolean;
}

/**
 * Note what the finger found. Throws `nothing-there` when nothing was laid there by then, and the refusals of
 * times and passages.
 */
export function touchFilm(painting: Painting, touching: Touching, making: Making): Painting {
  requirePassages(painting, [touching.passageId]);
  const atMs = pastMs(touching.at, making.now);
  const something = painting.events.some(
    (e) =>
      e.kind === 'laid' &&
      e.passageIds.includes(touching.passageId) &&
      (e.spot === null || sameSpot(e.spot.name, touching.spotName)) &&
      Date.parse(e.at) <= atMs,
  );
  if (!something)
    throw new CoreError(
      'nothing-there',
      'passageId',
      'Nothing was laid there by then. Choose another passage, or a later time.',
    );
  const event: TouchedEvent = {
    id: making.newId(),
    kind: 'touched',
    ...touching,
    at: new Date(touching.at).toISOString(),
  };
  return changed(painting, making, { events: [...painting.events, event] });
}

/** Leave a test out of the learning, or take it in again; it stays in the record. */
export const setTestAside = (
  painting: Painting,
  eventId: string,
  setAside: boolean,
  making: Pick<Making, 'now'>,
): Painting =>
  changed(painting, making, {
    events: painting.events.map((e) =>
      e.kind === 'touched' && e.id === eventId ? { ...e, setAside } : e,
    ),
  });

/** What the finger found, in the order of the record. */
export const touchedEvents = (painting: Painting): TouchedEvent[] =>
  painting.events.filter((e): e is TouchedEvent => e.kind === 'touched');
