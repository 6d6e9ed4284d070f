import { CORRECTIONS } from '@/data/corrections';
import { CoreError } from '../errors';
import { groundLaidAtMs } from './ground';
import { changed, coatOf, pastMs, requirePassages, type Making } from './making';
import type { Coat, HowReduced, Painting, PaintingEvent, Spot } from './schema';
import { unlaidPassages } from './sites';

export interface Laying {
  coatId: string;
  passageIds: string[];
  at: string;
  spot: Spot | null;
  intoWet: boolean;
}

function requireSpot(spot: Spot | null): void {
  if (!spot) return;
  if (spot.name.trim() === '')
    throw new CoreError(
      'spot-name-empty',
      'spot.name',
      'The spot needs a name, such as "highlights".',
    );
  if (!(spot.share > 0 && spot.share <= 1)) {
    throw new CoreError(
      'spot-share-range',
      'spot.share',
      'The share of a spot must be above 0 % and at most 100 %.',
    );
  }
}

/** Record that a coat was laid. Its recipe is kept with the entry as it was. */
export function layCoat(painting: Painting, laying: Laying, making: Making): Painting {
  const coat = coatOf(painting, laying.coatId);
  requirePassages(painting, laying.passageIds);
  requireSpot(laying.spot);
  pastMs(laying.at, making.now);
  if (laying.passageIds.length === 0) {
    throw new CoreError(
      'not-covered',
      'passageIds',
      'Choose at least one passage the coat was laid on.',
    );
  }
  const unlaid = unlaidPassages(painting, coat);
  const wrong = laying.passageIds.find((id) => !unlaid.includes(id));
  if (wrong !== undefined) {
    const name = painting.passages.find((p) => p.id === wrong)!.name;
    throw new CoreError(
      'not-covered',
      'passageIds',
      `"${coat.name}" is not waiting to be laid on ${name}. Choose another passage, or add a coat.`,
    );
  }
  const ground = groundLaidAtMs(painting.ground) ?? -Infinity;
  if (Date.parse(laying.at) < ground) {
    throw new CoreError(
      'order',
      'at',
      'That is before the ground was laid. Give a later time, or correct the ground.',
    );
  }
  const event: PaintingEvent = {
    id: making.newId(),
    kind: 'laid',
    at: new Date(laying.at).toISOString(),
    coatId: coat.id,
    passageIds: laying.passageIds,
    spot: laying.spot && { name: laying.spot.name.trim(), share: laying.spot.share },
    intoWet: laying.intoWet,
    name: coat.name,
    role: coat.role,
    recipe: coat.recipe,
    ...(coat.overruled ? { overruled: coat.overruled } : {}),
  };
  return changed(painting, making, { events: [...painting.events, event] });
}

export interface Reducing {
  passageId: string;
  spotName: string | null;
  at: string;
  how: HowReduced;
  left: 'all' | 'half' | 'trace';
}

/** A neutral opaque cover for a passage that was painted out; the painter edits it. */
const COVER_MIX: Coat['recipe']['mix'] = [
  { parts: 4, pigment: 'titanium-white', binder: 'linseed' },
  { parts: 1, pigment: 'raw-umber', binder: 'linseed' },
];

/**
 * Record that the top film was wiped back, scraped or painted out. Painting out also puts the covering
 * coat first in the plan of that passage, since it is a coat with a job.
 */
export function reduceFilm(painting: Painting, reducing: Reducing, making: Making): Painting {
  requirePassages(painting, [reducing.passageId]);
  const atMs = pastMs(reducing.at, making.now);
  const something = painting.events.some(
    (e) =>
      e.kind === 'laid' && e.passageIds.includes(reducing.passageId) && Date.parse(e.at) <= atMs,
  );
  if (!something) {
    throw new CoreError(
      'nothing-there',
      'at',
      'Nothing was laid on this passage by then. Give a later time.',
    );
  }
  const event: PaintingEvent = {
    id: making.newId(),
    kind: 'reduced',
    ...reducing,
    at: new Date(reducing.at).toISOString(),
  };
  const events = [...painting.events, event];
  if (reducing.how !== 'painted-out') return changed(painting, making, { events });
  const cover: Coat = {
    id: making.newId(),
    name: 'Cover',
    role: 'overpainting',
    passageIds: [reducing.passageId],
    recipe: { mix: COVER_MIX, medium: [], mediumShare: 0, thicknessUm: CORRECTIONS.coverUm },
    application: 'brush-coat',
    onto: 'touch-dry',
    spot:
      reducing.spotName === null
        ? null
        : { name: reducing.spotName, share: spotShare(painting, reducing) },
  };
  const first = painting.coats.findIndex(
    (coat) =>
      coat.passageIds.includes(reducing.passageId) &&
      unlaidPassages(painting, coat).includes(reducing.passageId),
  );
  const place = first === -1 ? painting.coats.length : first;
  const coats = [...painting.coats.slice(0, place), cover, ...painting.coats.slice(place)];
  return changed(painting, making, { events, coats });
}

function spotShare(painting: Painting, { passageId, spotName }: Reducing): number {
  const spots = painting.events.flatMap((e) =>
    e.kind === 'laid' && e.passageIds.includes(passageId) && e.spot?.name === spotName
      ? [e.spot.share]
      : [],
  );
  return spots.at(-1) ?? CORRECTIONS.spotShare;
}

/** Take an entry back, as if it had never been made. */
export function withoutEvent(
  painting: Painting,
  eventId: string,
  making: Pick<Making, 'now'>,
): Painting {
  return changed(painting, making, { events: painting.events.filter((e) => e.id !== eventId) });
}
