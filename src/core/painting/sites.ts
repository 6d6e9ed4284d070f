import type { Coat, FilmEvent, LaidEvent, Painting, PaintingEvent } from './schema';
import { CORRECTIONS } from '@/data/corrections';
import { remember } from '../remember';

/** One place with one stack of films: a passage without its spots, or one spot (or part) of it. */
export interface Site {
  passageId: string;
  /** Null for the passage itself. */
  spotName: string | null;
  /** Share of the passage; 1 for the passage itself. */
  share: number;
}

/** Spots are the same when they are called the same, whatever the case. */
export const sameSpot = (a: string | null, b: string | null): boolean =>
  a === b || (a !== null && b !== null && spotKey(a) === spotKey(b));

const spotKey = (name: string): string => name.trim().toLowerCase();

/** Names a passage, or a spot of it. */
export const siteKey = (site: Pick<Site, 'passageId' | 'spotName'>): string =>
  site.spotName === null ? site.passageId : `${site.passageId}/${spotKey(site.spotName)}`;

/** Events in the order they happened; entries of one moment keep the order they were made in. */
export const inTimeOrder = remember('time order', (events: PaintingEvent[]): PaintingEvent[] =>
  events
    .map((event, i) => ({ event, i, ms: Date.parse(event.at) }))
    .sort((a, b) => a.ms - b.ms || a.i - b.i)
    .map(({ event }) => event),
);

/** From this share on the parts of a coat are all of it. */
const ALL_OF_IT = CORRECTIONS.wholeFrom;

/** How far one coat has got on one passage. */
interface Reach {
  /** The entry that says that all of the passage, or all the rest of it, has it. */
  whole: LaidEvent | null;
  /** Parts it was laid on, each by the last entry that says so. */
  parts: Map<string, LaidEvent>;
  /** The part laid last: where the parts are all of it, it stands for the passage. */
  last: LaidEvent | null;
}

/** How far every coat has got on every passage; looked up often. */
const reaches = remember('reach', (events: PaintingEvent[]): Map<string, Reach> => {
  const out = new Map<string, Reach>();
  for (const event of inTimeOrder(events)) {
    if (event.kind !== 'laid') continue;
    for (const passageId of event.passageIds) {
      const key = `${event.coatId}|${passageId}`;
      const reach = out.get(key) ?? { whole: null, parts: new Map(), last: null };
      if (event.spot === null) {
        if (!event.more) reach.whole = event;
      } else if (!event.more) {
        reach.parts.set(spotKey(event.spot.name), event);
        reach.last = event;
      }
      out.set(key, reach);
    }
  }
  return out;
});

const reachOf = (painting: Painting, coatId: string, passageId: string): Reach | undefined =>
  reaches(painting.events).get(`${coatId}|${passageId}`);

const partsShare = (reach: Reach): number =>
  [...reach.parts.values()].reduce((sum, { spot }) => sum + spot!.share, 0);

/** Whether parts of a coat have come to be all of it. A coat that is a spot itself is never more than that. */
const allByParts = (reach: Reach): boolean =>
  reach.whole === null && partsShare(reach) >= ALL_OF_IT;

/** Whether a coat lies on all of a passage it was planned for, or as much of it as is wanted. */
export function isLaid(painting: Painting, coat: Coat, passageId: string): boolean {
  const reach = reachOf(painting, coat.id, passageId);
  if (!reach) return false;
  if (reach.whole !== null || coat.enough?.includes(passageId)) return true;
  return coat.spot === null ? allByParts(reach) : reach.parts.size > 0;
}

/** Share of a passage on which a coat is still to be laid: 1 where nothing of it was, 0 where it is done. */
export function shareToLay(painting: Painting, coat: Coat, passageId: string): number {
  if (!coat.passageIds.includes(passageId) || isLaid(painting, coat, passageId)) return 0;
  if (coat.spot) return coat.spot.share;
  const reach = reachOf(painting, coat.id, passageId);
  return reach ? Math.max(1 - ALL_OF_IT, 1 - partsShare(reach)) : 1;
}

/** Whether a coat was laid on a part that is called so. */
export const liesOn = (painting: Painting, coat: Coat, passageId: string, part: string): boolean =>
  reachOf(painting, coat.id, passageId)?.parts.has(spotKey(part)) === true;

/** Whether only a part of a coat lies on a passage, and the rest is still meant. */
export const isBegun = (painting: Painting, coat: Coat, passageId: string): boolean =>
  coat.spot === null &&
  !isLaid(painting, coat, passageId) &&
  reachOf(painting, coat.id, passageId) !== undefined;

/** Share of a passage that an entry put paint on: its part, or all that no other part of the coat has. */
export function laidShare(painting: Painting, event: LaidEvent, passageId: string): number {
  if (!event.passageIds.includes(passageId)) return 0;
  if (event.spot) return event.spot.share;
  const reach = event.more ? undefined : reachOf(painting, event.coatId, passageId);
  return reach ? Math.max(1 - ALL_OF_IT, 1 - partsShare(reach)) : 1;
}

/** The passages of a coat on which it has not been laid yet, or not on all of it. */
export const unlaidPassages = (painting: Painting, coat: Coat): string[] =>
  coat.passageIds.filter((passageId) => !isLaid(painting, coat, passageId));

/** The coats still to be laid on a passage, in the order of the plan. */
export const plannedCoats = (painting: Painting, passageId: string): Coat[] =>
  painting.coats.filter(
    (coat) => coat.passageIds.includes(passageId) && !isLaid(painting, coat, passageId),
  );

/**
 * By which entry each film of a coat is known: parts that joined are one film, called after the first of them.
 * Parts with another mix are films of their own.
 */
export const filmKeys = remember('film keys', (events: PaintingEvent[]): Map<string, string> => {
  const last = new Map<string, LaidEvent>();
  const keys = new Map<string, string>();
  for (const event of inTimeOrder(events)) {
    if (event.kind !== 'laid' || event.more) continue;
    const before = event.passageIds.map((id) => last.get(`${event.coatId}|${id}`));
    const joined = event.joins
      ? before.find((e) => e !== undefined && sameRecipe(e.recipe, event.recipe))
      : undefined;
    keys.set(event.id, joined ? keys.get(joined.id)! : event.id);
    for (const id of event.passageIds) last.set(`${event.coatId}|${id}`, event);
  }
  return keys;
});

/** Whether two recipes are the same paint, as thick. */
export const sameRecipe = (a: Coat['recipe'], b: Coat['recipe']): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b);

/** An entry as it bears on a site: it puts paint there, or only keeps open what of the coat lies there already. */
export type SiteEvent = FilmEvent & { beside?: boolean };

/** What was done, and what is still meant, on one passage. */
export interface PassageHistory {
  /** What changed its film, in the order it happened. */
  events: FilmEvent[];
  /** In the order of the plan. */
  planned: Coat[];
  /** How far a coat has got here. */
  reach: (coatId: string) => Reach | undefined;
  /** By which entry each film is known (`filmKeys`). */
  keys: Map<string, string>;
}

/** @param ordered the painting's events in the order they happened */
export const historyOf = (
  painting: Painting,
  passageId: string,
  ordered: PaintingEvent[] = inTimeOrder(painting.events),
): PassageHistory => ({
  events: ordered.filter(
    (event): event is FilmEvent =>
      event.kind !== 'touched' &&
      (event.kind === 'laid'
        ? event.passageIds.includes(passageId)
        : event.passageId === passageId),
  ),
  planned: plannedCoats(painting, passageId),
  reach: (coatId) => reachOf(painting, coatId, passageId),
  keys: filmKeys(painting.events),
});

const spotOf = (event: FilmEvent): string | null =>
  event.kind === 'laid' ? (event.spot?.name ?? null) : event.spotName;

/** The passage and every spot that was laid, wiped, or is planned, on it, in the order they came; the last share holds. */
export function sitesOf(passageId: string, { events, planned }: PassageHistory): Site[] {
  const sites: Site[] = [{ passageId, spotName: null, share: 1 }];
  const add = (spot: { name: string; share: number } | null) => {
    if (!spot) return;
    const known = sites.find((site) => sameSpot(site.spotName, spot.name));
    if (known) known.share = spot.share;
    else sites.push({ passageId, spotName: spot.name, share: spot.share });
  };
  for (const event of events) {
    if (event.kind === 'laid') add(event.spot);
    else if (event.spotName !== null && event.share !== undefined)
      add({ name: event.spotName, share: event.share });
  }
  for (const coat of planned) add(coat.spot);
  return sites;
}

/**
 * What an entry is to a site. All of the passage is laid on all of it, but a coat does not lie twice on a part of it
 * that had it already; the parts, where they are all of it, leave nothing else: the last of them stands for the passage.
 */
function bearingOn(
  event: FilmEvent,
  site: Site,
  { reach, keys }: PassageHistory,
): SiteEvent | null {
  const spotName = spotOf(event);
  if (event.kind === 'reduced') {
    const spared = event.except?.some((name) => sameSpot(name, site.spotName)) ?? false;
    return (spotName === null && !spared) || sameSpot(spotName, site.spotName) ? event : null;
  }
  if (sameSpot(spotName, site.spotName)) return event;
  const here = reach(event.coatId)!;
  const own =
    site.spotName === null ? here.whole : (here.parts.get(spotKey(site.spotName)) ?? null);
  const besides =
    own !== null && event.joins && keys.get(event.id) === keys.get(own.id)
      ? { ...event, beside: true }
      : null;
  // The passage itself has what was laid on a part only where the parts are all there is of it.
  if (site.spotName === null)
    return !event.more && event === here.last && allByParts(here) ? event : besides;
  return spotName === null && (event.more || own === null) ? event : besides;
}

/** What of a passage's history concerns a site: all of the passage does, another spot of it does not. */
export function historyAt(
  history: PassageHistory,
  site: Site,
): { events: SiteEvent[]; planned: Coat[] } {
  const { events, planned, reach } = history;
  const lies = (coat: Coat): boolean =>
    site.spotName !== null && reach(coat.id)?.parts.has(spotKey(site.spotName)) === true;
  return {
    events: events.flatMap((event) => bearingOn(event, site, history) ?? []),
    planned: planned.filter(
      (coat) => (coat.spot === null || sameSpot(coat.spot.name, site.spotName)) && !lies(coat),
    ),
  };
}

/** The parts and spots of a passage on which anything lies, each with the last share that was said of it. */
export const laidParts = (painting: Painting, passageId: string): Site[] =>
  sitesOf(passageId, { ...historyOf(painting, passageId), planned: [] }).filter(
    (site) => site.spotName !== null,
  );

/** What was laid, in the order in which it was laid. */
export const laidEvents = (painting: Painting): LaidEvent[] =>
  painting.events.filter((e): e is LaidEvent => e.kind === 'laid');
