import type { Left } from '@/data/applications';
import { CORRECTIONS } from '@/data/corrections';
import { CoreError } from '../errors';
import { DAY_MS } from '../drying';
import { afterGround, withoutEvent } from './events';
import { assessAt, meetingsOf, settleLater } from './hour';
import type { AssessOptions } from './layer';
import { changed, pastMs, type Making } from './making';
import type { Coat, Painting, PaintingEvent, Spot } from './schema';
import { laidEvents } from './sites';

/** What may be corrected of an entry. The caller validates the result. */
export type EntryCorrection = Partial<{
  at: string;
  spot: Spot | null;
  intoWet: boolean;
  left: Left;
  finding: Extract<PaintingEvent, { kind: 'touched' }>['finding'];
  recipe: Coat['recipe'];
}>;

/**
 * An entry as it really was: another hour, another part, another amount left. Later entries are settled anew. Throws the
 * refusals of times.
 */
export function correctEntry(
  painting: Painting,
  eventId: string,
  correction: EntryCorrection,
  options: AssessOptions,
  making: Making,
): Painting {
  const was = painting.events.find((e) => e.id === eventId);
  if (!was) throw new CoreError('nothing-there', 'eventId', 'That entry is there no longer.');
  const at = correction.at ?? was.at;
  pastMs(at, making.now);
  if (was.kind === 'laid') afterGround(painting, at);
  const { at: _at, intoWet, ...rest } = correction;
  const entry = {
    ...was,
    ...rest,
    at: new Date(at).toISOString(),
    // What the painter says of it himself, no forecast decides again.
    ...(intoWet === undefined ? {} : { intoWet, saidWet: true }),
  } as PaintingEvent;
  const others = changed(painting, making, {
    events: painting.events.map((e) => (e.id === eventId ? entry : e)),
  });
  const judged =
    entry.kind === 'laid' && !entry.saidWet ? meetAgain(others, entry, options, making) : others;
  return settleLater(painting, judged, options, making.newId);
}

/**
 * Take an entry back, as if it had never been made; what was laid on it is settled anew. A coat that came with the entry
 * goes with it.
 */
export function recordWithout(
  painting: Painting,
  eventId: string,
  options: AssessOptions,
  making: Making,
): Painting {
  const was = painting.events.find((e) => e.id === eventId);
  const left = settleLater(
    painting,
    withoutEvent(painting, eventId, making),
    options,
    making.newId,
  );
  if (was?.kind !== 'laid' || laidEvents(left).some((e) => e.coatId === was.coatId)) return left;
  return { ...left, coats: left.coats.filter((c) => c.id !== was.coatId || !c.improvised) };
}

/** An entry that was dated anew meets what lay there at its new hour. */
function meetAgain(
  painting: Painting,
  entry: Extract<PaintingEvent, { kind: 'laid' }>,
  options: AssessOptions,
  { newId }: Making,
): Painting {
  const atMs = Date.parse(entry.at);
  const was = assessAt(painting, entry, null, options);
  const groups = meetingsOf(was, entry, entry.passageIds, atMs);
  const { joins: _joins, ...rest } = entry;
  const pieces = groups.map(({ passageIds, intoWet, joins }, i) => ({
    ...rest,
    passageIds,
    intoWet,
    ...(joins ? { joins: true } : {}),
    id: i === 0 ? entry.id : newId(),
  }));
  return {
    ...painting,
    events: painting.events.flatMap((e): PaintingEvent[] => (e.id === entry.id ? pieces : [e])),
  };
}

const DAYS_A_YEAR = 365;

/** Why a date is asked about before it is kept: a question in a painter's words; null where it is likely enough. */
export function implausible(painting: Painting, at: string, now: string): string | null {
  const ms = Date.parse(at);
  const daysAgo = (Date.parse(now) - ms) / DAY_MS;
  const years = Math.round(daysAgo / DAYS_A_YEAR);
  if (daysAgo > CORRECTIONS.longAgoDays)
    return `That is ${years > 1 ? `${years} years` : 'a year'} ago. Is it meant so?`;
  if ((Date.parse(painting.createdAt) - ms) / DAY_MS > CORRECTIONS.beforeBegunDays)
    return 'That is months before this painting was begun here. Is it meant so?';
  return null;
}
