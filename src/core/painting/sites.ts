import type { Coat, FilmEvent, LaidEvent, Painting, PaintingEvent } from './schema';
import { remember } from '../remember';

/** One place with one stack of films: a passage without its spots, or one spot of it. */
export interface Site {
  passageId: string;
  /** Null for the passage itself. */
  spotName: string | null;
  /** Share of the passage; 1 for the passage itself. */
  share: number;
}

/** Spots are the same when they are called the same, whatever the case. */
export const sameSpot = (a: string | null, b: string | null): boolean =>
  a === b || (a !== null && b !== null && a.trim().toLowerCase() === b.trim().toLowerCase());

/** Names a passage, or a spot of it. */
export const siteKey = (site: Pick<Site, 'passageId' | 'spotName'>): string =>
  site.spotName === null
    ? site.passageId
    : `${site.passageId}/${site.spotName.trim().toLowerCase()}`;

/** Events in the order they happened; entries of one moment keep the order they were made in. */
export const inTimeOrder = remember('time order', (events: PaintingEvent[]): PaintingEvent[] =>
  events
    .map((event, i) => ({ event, i, ms: Date.parse(event.at) }))
    .sort((a, b) => a.ms - b.ms || a.i - b.i)
    .map(({ event }) => event),
);

/** Which coats lie on which passages; looked up often. */
const laidOn = remember('laid on', (events: PaintingEvent[]): Set<string> => {
  const laid = new Set<string>();
  for (const e of events) {
    if (e.kind === 'laid')
      for (const passageId of e.passageIds) laid.add(`${e.coatId}|${passageId}`);
  }
  return laid;
});

/** Whether a coat lies on all of a passage it was planned for. */
export const isLaid = (painting: Painting, coat: Coat, passageId: string): boolean =>
  laidOn(painting.events).has(`${coat.id}|${passageId}`);

/** The passages of a coat on which it has not been laid yet. */
export const unlaidPassages = (painting: Painting, coat: Coat): string[] =>
  coat.passageIds.filter((passageId) => !isLaid(painting, coat, passageId));

/** The coats still to be laid on a passage, in the order of the plan. */
export const plannedCoats = (painting: Painting, passageId: string): Coat[] =>
  painting.coats.filter(
    (coat) => coat.passageIds.includes(passageId) && !isLaid(painting, coat, passageId),
  );

/** What was done, and what is still meant, on one passage. */
export interface PassageHistory {
  /** What changed its film, in the order it happened. */
  events: FilmEvent[];
  /** In the order of the plan. */
  planned: Coat[];
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
});

const spotOf = (event: FilmEvent): string | null =>
  event.kind === 'laid' ? (event.spot?.name ?? null) : event.spotName;

/** The passage and every spot that was laid, or is planned, on it, in the order they came; the last share holds. */
export function sitesOf(passageId: string, { events, planned }: PassageHistory): Site[] {
  const sites: Site[] = [{ passageId, spotName: null, share: 1 }];
  const add = (spot: { name: string; share: number } | null) => {
    if (!spot) return;
    const known = sites.find((site) => sameSpot(site.spotName, spot.name));
    if (known) known.share = spot.share;
    else sites.push({ passageId, spotName: spot.name, share: spot.share });
  };
  for (const event of events) if (event.kind === 'laid') add(event.spot);
  for (const coat of planned) add(coat.spot);
  return sites;
}

/** What of a passage's history concerns a site: all of the passage does, another spot of it does not. */
export function historyAt({ events, planned }: PassageHistory, site: Site): PassageHistory {
  const concerns = (spotName: string | null): boolean =>
    spotName === null || sameSpot(spotName, site.spotName);
  return {
    events: events.filter((event) => concerns(spotOf(event))),
    planned: planned.filter((coat) => concerns(coat.spot?.name ?? null)),
  };
}

/** What was laid, in the order in which it was laid. */
export const laidEvents = (painting: Painting): LaidEvent[] =>
  painting.events.filter((e): e is LaidEvent => e.kind === 'laid');
