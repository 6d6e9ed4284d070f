import type { Painting } from '../painting/schema';
import { CoreError } from '../errors';
import { MOST, NO_LOOKING } from './none';
import type { Looking, Picture } from './schema';

/** Changes of what a painting keeps of its pictures; each gives a painting, and leaves the one it was given alone. */

/** What a painting keeps of its pictures; nothing at first. */
export const lookingOf = (painting: Painting): Looking => painting.looking ?? NO_LOOKING;

const put = <T extends { id: string }>(list: readonly T[], item: T): T[] =>
  list.some((x) => x.id === item.id)
    ? list.map((x) => (x.id === item.id ? item : x))
    : [...list, item];
const without = <T extends { id: string }>(list: readonly T[], id: string): T[] =>
  list.filter((x) => x.id !== id);

const changed = (painting: Painting, some: Partial<Looking>): Painting => ({
  ...painting,
  looking: { ...lookingOf(painting), ...some },
});

/** @throws CoreError where a list is full: what is kept can be read again */
function room<T extends { id: string }>(
  list: readonly T[],
  id: string,
  most: number,
  what: string,
): void {
  if (list.length >= most && !list.some((x) => x.id === id))
    throw new CoreError(
      'not-keepable',
      what,
      `There are ${most} ${what} already. Take one out first.`,
    );
}

/** What is kept of passages that are gone stays for undo; where the list is full it gives way. */
function ofPassages<T extends { id: string }>(
  { passages }: Painting,
  list: readonly T[],
  most: number,
  passagesOf: (item: T) => readonly string[] = ({ id }) => [id],
): readonly T[] {
  if (list.length < most) return list;
  const here = new Set(passages.map((p) => p.id));
  return list.filter((item) => passagesOf(item).every((id) => here.has(id)));
}

/** A picture added, or its entry changed. A new design takes the place of the one before, which stays a reference. */
export function putPicture(painting: Painting, picture: Picture): Painting {
  const { pictures } = lookingOf(painting);
  room(pictures, picture.id, MOST.pictures, 'pictures');
  const others =
    picture.kind === 'design'
      ? pictures.map((p) =>
          p.kind === 'design' && p.id !== picture.id ? { ...p, kind: 'reference' as const } : p,
        )
      : pictures;
  return changed(painting, { pictures: put(others, picture) });
}

/** A picture taken out: only its entry; the photo itself stays for undo. */
export const withoutPicture = (painting: Painting, id: string): Painting =>
  changed(painting, { pictures: without(lookingOf(painting).pictures, id) });

/** The outline of a passage, mm on the support; what is drawn later lies above. */
export function putOutline(
  painting: Painting,
  passageId: string,
  rings: Looking['outlines'][number]['rings'],
): Painting {
  const outlines = ofPassages(painting, lookingOf(painting).outlines, MOST.outlines);
  const before = outlines.find((o) => o.id === passageId);
  const above = before?.above ?? Math.min(MOST.above, outlines.length);
  return changed(painting, { outlines: put(outlines, { id: passageId, rings, above }) });
}

/** An outline taken out. */
export const withoutOutline = (painting: Painting, passageId: string): Painting =>
  changed(painting, { outlines: without(lookingOf(painting).outlines, passageId) });

type Intent = Looking['intents'][number];

/** What is meant on a passage: nothing was said of it yet. */
const asDesigned = (id: string): Intent => ({ id, departs: null, why: '' });

/** What is meant on a passage; nothing beyond the design where nothing was said. */
export const intentOf = (looking: Looking, id: string): Intent =>
  looking.intents.find((i) => i.id === id) ?? asDesigned(id);

/** What is meant to differ from the design on a passage, or how it is meant to run; what is not named stays. */
export function putIntent(
  painting: Painting,
  intent: { id: string } & { [K in keyof Intent]?: Intent[K] | undefined },
): Painting {
  const looking = lookingOf(painting);
  const next = { ...intentOf(looking, intent.id), ...intent } as Intent;
  if (next.rank === undefined) delete next.rank;
  if (next.graded === undefined) delete next.graded;
  const intents = ofPassages(painting, looking.intents, MOST.outlines);
  return changed(painting, { intents: put(intents, next) });
}

/** The passages that should draw the eye, first to last. */
export const rankingOf = (looking: Looking): string[] =>
  looking.intents
    .filter((i) => i.rank !== undefined)
    .sort((p, q) => p.rank! - q.rank!)
    .map((i) => i.id);

/** A passage put at the end of that row, or taken out of it; the others close up. */
export function toggleRank(painting: Painting, id: string): Painting {
  const row = rankingOf(lookingOf(painting));
  const next = row.includes(id) ? row.filter((x) => x !== id) : [...row, id];
  return [...new Set([...row, ...next])].reduce((p, x) => {
    const at = next.indexOf(x);
    return putIntent(p, { id: x, rank: at < 0 ? undefined : at + 1 });
  }, painting);
}

/** How wide the finest brush at hand paints, mm. */
export const putFinestBrush = (painting: Painting, mm: number): Painting =>
  changed(painting, { finestBrushMm: mm });

const borderId = (a: string, b: string): string => [a, b].sort().join(' ');

/** How the border of two passages is meant; null: anything. */
export function putBorder(
  painting: Painting,
  a: string,
  b: string,
  kind: Looking['borders'][number]['kind'] | null,
): Painting {
  const { borders: all } = lookingOf(painting);
  const borders = ofPassages(painting, all, MOST.borders, (x) => [x.a, x.b]);
  const id = borderId(a, b);
  return changed(painting, {
    borders: kind === null ? without(borders, id) : put(borders, { id, a, b, kind }),
  });
}

/** How a border is meant, in either order of its passages; null where nothing was said. */
export const borderOf = (looking: Looking, a: string, b: string) =>
  looking.borders.find((x) => x.id === borderId(a, b))?.kind ?? null;

/** A point of the drawing that is watched, mm on the support. */
export function putPoint(painting: Painting, point: Looking['points'][number]): Painting {
  const { points } = lookingOf(painting);
  room(points, point.id, MOST.points, 'points');
  return changed(painting, { points: put(points, point) });
}

/** A point taken out, with its marks on all pictures. */
export function withoutPoint(painting: Painting, id: string): Painting {
  const { points, pictures } = lookingOf(painting);
  return changed(painting, {
    points: without(points, id),
    pictures: pictures.map((p) => ({ ...p, marks: without(p.marks, id) })),
  });
}

/** Outlines of passages that are still there, lowest first. */
export const outlinesOf = (painting: Painting): Looking['outlines'] =>
  lookingOf(painting)
    .outlines.filter((o) => painting.passages.some((p) => p.id === o.id))
    .sort((p, q) => p.above - q.above);

/** Every photo that a studio names, in its log and on its paintings; each once. */
export const photoIdsOf = (
  sessions: readonly { photos: readonly { id: string }[] }[],
  paintings: readonly Painting[],
): string[] => [
  ...new Set([
    ...sessions.flatMap((s) => s.photos.map((p) => p.id)),
    ...paintings.flatMap((p) => lookingOf(p).pictures.map((x) => x.id)),
  ]),
];
