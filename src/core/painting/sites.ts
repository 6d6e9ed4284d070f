import type { Coat, LaidEvent, Painting, PaintingEvent } from './schema';

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

export const siteKey = (site: Pick<Site, 'passageId' | 'spotName'>): string =>
  site.spotName === null
    ? site.passageId
    : `${site.passageId}/${site.spotName.trim().toLowerCase()}`;

/** Events in the order they happened; entries of one moment keep the order they were made in. */
export function inTimeOrder(events: PaintingEvent[]): PaintingEvent[] {
  return events
    .map((event, i) => ({ event, i, ms: Date.parse(event.at) }))
    .sort((a, b) => a.ms - b.ms || a.i - b.i)
    .map(({ event }) => event);
}

/** Which coats lie on which passages; looked up often, so kept beside the entries it was read from. */
const laidIndex = new WeakMap<PaintingEvent[], Set<string>>();

function laidOn({ events }: Painting): Set<string> {
  const known = laidIndex.get(events);
  if (known) return known;
  const laid = new Set<string>();
  for (const e of events) {
    if (e.kind === 'laid')
      for (const passageId of e.passageIds) laid.add(`${e.coatId}|${passageId}`);
  }
  laidIndex.set(events, laid);
  return laid;
}

export const isLaid = (painting: Painting, coat: Coat, passageId: string): boolean =>
  laidOn(painting).has(`${coat.id}|${passageId}`);

/** The passages of a coat on which it has not been laid yet. */
export const unlaidPassages = (painting: Painting, coat: Coat): string[] =>
  coat.passageIds.filter((passageId) => !isLaid(painting, coat, passageId));

/** The coats still to be laid on a passage, in the order of the plan. */
export const plannedCoats = (painting: Painting, passageId: string): Coat[] =>
  painting.coats.filter(
    (coat) => coat.passageIds.includes(passageId) && !isLaid(painting, coat, passageId),
  );

/** The passage and every spot that was laid, or is planned, on it, in the order they came; the last share holds. */
export function sitesOf(
  painting: Painting,
  passageId: string,
  ordered: PaintingEvent[] = inTimeOrder(painting.events),
): Site[] {
  const sites: Site[] = [{ passageId, spotName: null, share: 1 }];
  const add = (spot: { name: string; share: number } | null) => {
    if (!spot) return;
    const known = sites.find((site) => sameSpot(site.spotName, spot.name));
    if (known) known.share = spot.share;
    else sites.push({ passageId, spotName: spot.name, share: spot.share });
  };
  for (const event of ordered) {
    if (event.kind === 'laid' && event.passageIds.includes(passageId)) add(event.spot);
  }
  for (const coat of plannedCoats(painting, passageId)) add(coat.spot);
  return sites;
}

/** Whether a coat or an entry concerns a site: all of the passage does, another spot of it does not. */
const concerns = (spotName: string | null, site: Site): boolean =>
  spotName === null || sameSpot(spotName, site.spotName);

export const plannedAt = (painting: Painting, site: Site): Coat[] =>
  plannedCoats(painting, site.passageId).filter((coat) => concerns(coat.spot?.name ?? null, site));

export const eventsAt = (ordered: PaintingEvent[], site: Site): PaintingEvent[] =>
  ordered.filter((event) =>
    event.kind === 'laid'
      ? event.passageIds.includes(site.passageId) && concerns(event.spot?.name ?? null, site)
      : event.passageId === site.passageId && concerns(event.spotName, site),
  );

export const laidEvents = (painting: Painting): LaidEvent[] =>
  painting.events.filter((e): e is LaidEvent => e.kind === 'laid');
