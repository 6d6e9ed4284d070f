import type { Left, RemovalTool } from '@/data/applications';
import { CORRECTIONS } from '@/data/corrections';
import { CoreError } from '../errors';
import { firstToCome, layCoat, reduceFilm } from './events';
import { likeCoat } from './improvise';
import { assessAt, meetingsOf, settleLater, topAt } from './hour';
import { wipesOff, type AssessOptions, type PaintingAssessment } from './layer';
import { changed, coatOf, pastMs, type Making } from './making';
import type { Coat, HowReduced, Painting, Spot } from './schema';
import { shareToLay } from './sites';

/** What is entered as it happened at the easel: each entry is judged by what lay there at its hour. */

export interface LayingEntry {
  coatId: string;
  passageIds: string[];
  /** Time, ISO; now or earlier. */
  at: string;
  /** A part or spot of each passage; null: all of it, or all the rest. */
  spot: Spot | null;
  /** What the painter says of the film below: wet, or set; null leaves it to the forecast. */
  wet?: boolean | null;
  /** More of it where it lies already: how much, as a share of the coat; absent where it is laid the first time. */
  more?: number;
}

/**
 * Lay a coat, all of it or a part, as one entry for each way it meets what lies there at that hour. Later entries that
 * were laid on it are settled anew. Throws what `layCoat` throws.
 */
export function recordLaying(
  painting: Painting,
  entry: LayingEntry,
  options: AssessOptions,
  making: Making,
): Painting {
  const coat = coatOf(painting, entry.coatId);
  const atMs = pastMs(entry.at, making.now);
  const spot =
    coat.spot === null && entry.spot !== null && entry.spot.share >= CORRECTIONS.wholeFrom
      ? null
      : entry.spot;
  const recipe =
    entry.more === undefined
      ? coat.recipe
      : { ...coat.recipe, thicknessUm: coat.recipe.thicknessUm * entry.more };
  const more = entry.more === undefined ? {} : { more: true };
  const was = assessAt(painting, atMs, entry.coatId, options);
  const said = entry.wet ?? null;
  const groups = meetingsOf(
    was,
    { coatId: coat.id, spot, recipe, ...more },
    entry.passageIds,
    atMs,
    said,
  );
  // Without a passage the refusal of layCoat says so.
  const layings = groups.length > 0 ? groups : [{ passageIds: [], intoWet: false, joins: false }];
  const laid = layings.reduce(
    (done, group) =>
      layCoat(
        done,
        {
          coatId: coat.id,
          at: entry.at,
          spot,
          recipe,
          ...more,
          ...group,
          ...(said === null ? {} : { saidWet: true }),
        },
        making,
      ),
    painting,
  );
  return settleLater(painting, laid, options, making.newId);
}

/** Where something is taken off: a passage, a spot of it, or a part that gets its name by it. */
export interface Place {
  passageId: string;
  spotName: string | null;
  share?: number;
}

export interface RemovalEntry {
  how: HowReduced;
  tool?: RemovalTool;
  at: string;
  places: (Place & { left: Left })[];
  /** The paint in hand that it acts on, not laid by any entry yet: it is laid first, as far as it has got. */
  inHand?: { coatId: string; passageIds: string[]; spot: Spot | null } | null;
  /** The coat that was taken off is planned once more there. */
  repaint?: boolean;
}

const placeName = (painting: Painting, { passageId, spotName }: Place): string => {
  const name = painting.passages.find((p) => p.id === passageId)?.name ?? 'that passage';
  return spotName === null ? name : `${name}, ${spotName}`;
};

/**
 * One gesture over several places: wiped, scraped, sanded or painted out, with what is left on each. Throws `paint-has-set` where
 * paint is to be wiped that had set by then, and what `reduceFilm` and `layCoat` throw; then nothing has changed.
 */
export function recordRemoval(
  painting: Painting,
  entry: RemovalEntry,
  options: AssessOptions,
  making: Making,
): Painting {
  const atMs = pastMs(entry.at, making.now);
  if (entry.places.length === 0)
    throw new CoreError('not-covered', 'places', 'Choose at least one place.');
  const laid = entry.inHand
    ? layInHand(painting, entry.inHand, entry.at, options, making)
    : painting;
  const was = assessAt(laid, atMs, null, options);
  if (entry.how === 'wiped')
    for (const place of entry.places) {
      const top = topAt(was, place.passageId, place.spotName);
      if (top && !wipesOff(top))
        throw new CoreError(
          'paint-has-set',
          'how',
          `${top.film.name} on ${placeName(painting, place)} had set by then and does not wipe off. Scrape or sand it, or choose the paint in hand.`,
        );
    }
  const reduced = entry.places.reduce(
    (done, { left, ...place }) =>
      reduceFilm(
        done,
        {
          ...place,
          ...spared(was, place),
          at: entry.at,
          how: entry.how,
          left: entry.how === 'painted-out' ? 'all' : left,
          ...(entry.tool ? { tool: entry.tool } : {}),
        },
        making,
      ),
    laid,
  );
  const done = entry.repaint ? withRepaint(reduced, entry.places, was, making) : reduced;
  return settleLater(painting, done, options, making.newId);
}

/** Spots where another film lies on top than on the passage around them: a gesture on the passage leaves them alone. */
function spared(was: PaintingAssessment, { passageId, spotName }: Place): { except?: string[] } {
  if (spotName !== null) return {};
  const top = topAt(was, passageId, null)?.film.key;
  const spots = was.passages.find((p) => p.passage.id === passageId)?.spots ?? [];
  const except = spots.flatMap(({ site }) =>
    topAt(was, passageId, site.spotName)?.film.key === top ? [] : [site.spotName!],
  );
  return except.length > 0 ? { except } : {};
}

/** Plan what was taken off once more, first of what is still to come on its places. */
function withRepaint(
  painting: Painting,
  places: Place[],
  was: PaintingAssessment,
  making: Making,
): Painting {
  return places.reduce((done, { passageId, spotName, share }) => {
    const coatId = topAt(was, passageId, spotName)?.film.coatIds.at(-1);
    const coat = done.coats.find((c) => c.id === coatId);
    if (!coat) return done;
    const spot =
      spotName === null ? null : { name: spotName, share: share ?? CORRECTIONS.spotShare };
    const known = done.coats.find(
      (c) =>
        c.name === repaintName(coat) &&
        JSON.stringify(c.spot) === JSON.stringify(spot) &&
        shareToLay(done, c, c.passageIds[0]!) > 0,
    );
    const coats = known
      ? done.coats.map((c) =>
          c === known ? { ...c, passageIds: [...new Set([...c.passageIds, passageId])] } : c,
        )
      : firstToCome(
          done,
          likeCoat(coat, making.newId(), {
            name: repaintName(coat),
            passageIds: [passageId],
            spot,
          }),
        );
    return changed(done, making, { coats });
  }, painting);
}

const NAME_MAX = 60;
const AGAIN = ' again';
const repaintName = ({ name }: Coat): string =>
  name.endsWith(AGAIN) ? name : `${name.slice(0, NAME_MAX - AGAIN.length)}${AGAIN}`;

/** Lay what is in hand on those of its passages that wait for it. */
function layInHand(
  painting: Painting,
  { coatId, passageIds, spot }: NonNullable<RemovalEntry['inHand']>,
  at: string,
  options: AssessOptions,
  making: Making,
): Painting {
  const coat = coatOf(painting, coatId);
  const waiting = passageIds.filter((id) => shareToLay(painting, coat, id) > 0);
  return waiting.length === 0
    ? painting
    : recordLaying(painting, { coatId, passageIds: waiting, at, spot }, options, making);
}

/** No more of a coat is wanted on some passages where a part of it lies; or, taken back, the rest is meant after all. */
export function leaveRest(
  painting: Painting,
  coatId: string,
  passageIds: string[],
  leave: boolean,
  making: Pick<Making, 'now'>,
): Painting {
  const coat = coatOf(painting, coatId);
  const others = (coat.enough ?? []).filter((id) => !passageIds.includes(id));
  const enough = leave ? [...others, ...passageIds] : others;
  const { enough: _was, ...rest } = coat;
  const next: Coat = enough.length > 0 ? { ...rest, enough } : rest;
  return changed(painting, making, {
    coats: painting.coats.map((c) => (c.id === coatId ? next : c)),
  });
}
