import type { Left, RemovalTool } from '@/data/applications';
import { CORRECTIONS } from '@/data/corrections';
import { CoreError } from '../errors';
import { groundLaidAtMs } from './ground';
import { changed, coatOf, pastMs, requirePassages, type Making } from './making';
import type { Coat, HowReduced, Painting, PaintingEvent, Spot } from './schema';
import { liesOn, sameSpot, unlaidPassages } from './sites';

export interface Laying {
  coatId: string;
  passageIds: string[];
  at: string;
  /** A part or spot of each passage; null: all of it, or all the rest. */
  spot: Spot | null;
  intoWet: boolean;
  /** One film with the parts of this coat that were laid before. */
  joins?: boolean;
  /** More of it where it lies already. */
  more?: boolean;
  /** The painter said himself whether the film below had set. */
  saidWet?: boolean;
  /** What was put on, where it differs from what the coat says; its share of the thickness for more of it. */
  recipe?: Coat['recipe'];
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

/** Throws `order` for a time at which there was no ground yet. */
export function afterGround(painting: Painting, at: string): void {
  const ground = groundLaidAtMs(painting.ground) ?? -Infinity;
  if (Date.parse(at) < ground) {
    throw new CoreError(
      'order',
      'at',
      'That is before the ground was laid. Give a later time, or correct the ground.',
    );
  }
}

/** A coat is laid where it waits to be laid; more of it, where some of it lies. */
function requireWaiting(painting: Painting, coat: Coat, { passageIds, spot, more }: Laying): void {
  const nameOf = (id: string) => painting.passages.find((p) => p.id === id)!.name;
  const twice = spot && !more && passageIds.find((id) => liesOn(painting, coat, id, spot.name));
  if (twice)
    throw new CoreError(
      'not-covered',
      'spot.name',
      `"${coat.name}" lies on ${spot.name} of ${nameOf(twice)} already. Give the part another name, or lay it there again.`,
    );
  const waiting = unlaidPassages(painting, coat);
  const here = (id: string): boolean =>
    more
      ? painting.events.some(
          (e) => e.kind === 'laid' && e.coatId === coat.id && e.passageIds.includes(id),
        )
      : waiting.includes(id);
  const wrong = passageIds.find((id) => !here(id));
  if (wrong === undefined) return;
  throw new CoreError(
    'not-covered',
    'passageIds',
    more
      ? `Nothing of "${coat.name}" lies on ${nameOf(wrong)} yet. Lay it there first.`
      : `"${coat.name}" is not waiting to be laid on ${nameOf(wrong)}. Choose another passage, or add a coat.`,
  );
}

/** Record that a coat was laid, all of it or a part. Its recipe is kept with the entry as it was. */
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
  requireWaiting(painting, coat, laying);
  afterGround(painting, laying.at);
  const event: PaintingEvent = {
    id: making.newId(),
    kind: 'laid',
    at: new Date(laying.at).toISOString(),
    coatId: coat.id,
    passageIds: laying.passageIds,
    spot: laying.spot && { name: laying.spot.name.trim(), share: laying.spot.share },
    intoWet: laying.intoWet,
    ...(laying.saidWet ? { saidWet: true } : {}),
    ...(laying.joins ? { joins: true } : {}),
    ...(laying.more ? { more: true } : {}),
    name: coat.name,
    role: coat.role,
    recipe: laying.recipe ?? coat.recipe,
    ...(coat.overruled ? { overruled: coat.overruled } : {}),
  };
  return changed(painting, making, { events: [...painting.events, event] });
}

export interface Reducing {
  passageId: string;
  spotName: string | null;
  at: string;
  how: HowReduced;
  left: Left;
  /** Of a part that had no name before. */
  share?: number;
  /** Spots of the passage that it left alone. */
  except?: string[];
  tool?: RemovalTool;
}

/** A neutral opaque cover for a passage that was painted out; the painter edits it. */
const COVER_MIX: Coat['recipe']['mix'] = [
  { parts: 4, pigment: 'titanium-white', binder: 'linseed' },
  { parts: 1, pigment: 'raw-umber', binder: 'linseed' },
];

/**
 * Record that the top film was wiped back, scraped or painted out, on all of a passage or a part of it. Painting out
 * also puts the covering coat first in the plan of that place, since it is a coat with a job.
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
  if (reducing.spotName !== null) {
    const share = reducing.share ?? spotShare(painting, reducing);
    requireSpot({ name: reducing.spotName, share });
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
        : {
            name: reducing.spotName,
            share: reducing.share ?? spotShare(painting, reducing),
          },
  };
  return changed(painting, making, { events, coats: firstToCome(painting, cover) });
}

/** The coats with another put before those that are still to come on its passages. */
export function firstToCome(painting: Painting, coat: Coat): Coat[] {
  const waits = (c: Coat): boolean =>
    unlaidPassages(painting, c).some((id) => coat.passageIds.includes(id));
  const first = painting.coats.findIndex(waits);
  const place = first === -1 ? painting.coats.length : first;
  return [...painting.coats.slice(0, place), coat, ...painting.coats.slice(place)];
}

function spotShare(painting: Painting, { passageId, spotName }: Reducing): number {
  const spots = painting.events.flatMap((e) =>
    e.kind === 'laid' &&
    e.passageIds.includes(passageId) &&
    sameSpot(e.spot?.name ?? null, spotName)
      ? [e.spot!.share]
      : [],
  );
  return spots.at(-1) ?? CORRECTIONS.spotShare;
}

/** Take an entry back, as if it had never been made (later entries are not settled; `recordWithout` does). */
export function withoutEvent(
  painting: Painting,
  eventId: string,
  making: Pick<Making, 'now'>,
): Painting {
  return changed(painting, making, { events: painting.events.filter((e) => e.id !== eventId) });
}
