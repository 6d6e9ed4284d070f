import type { Painting } from './schema';

interface Keyed {
  id: string;
}

/**
 * Three-way merge of a keyed list: what either side added stays, what either side took away goes, and
 * where both changed one item, `mine` holds. Items keep the order of `mine`, additions of `theirs` follow.
 */
function mergeList<T extends Keyed>(base: T[], mine: T[], theirs: T[]): T[] {
  const inBase = new Map(base.map((x) => [x.id, x]));
  const inTheirs = new Map(theirs.map((x) => [x.id, x]));
  const inMine = new Set(mine.map((x) => x.id));
  const same = (a: T | undefined, b: T | undefined) => JSON.stringify(a) === JSON.stringify(b);
  const kept = mine.flatMap((item): T[] => {
    const old = inBase.get(item.id);
    const other = inTheirs.get(item.id);
    if (old && !other) return same(item, old) ? [] : [item];
    return [other && same(item, old) ? other : item];
  });
  const added = theirs.filter(
    (x) => !inMine.has(x.id) && (!inBase.has(x.id) || !same(x, inBase.get(x.id))),
  );
  return [...kept, ...added];
}

/**
 * Merge two descendants of one painting, so that two tabs that both wrote lose nothing. Entries and
 * coats merge one by one; for single values `mine` holds where it changed.
 */
export function mergePaintings(base: Painting, mine: Painting, theirs: Painting): Painting {
  const pick = <K extends keyof Painting>(key: K): Painting[K] =>
    JSON.stringify(mine[key]) === JSON.stringify(base[key]) ? theirs[key] : mine[key];
  return {
    ...mine,
    title: pick('title'),
    support: pick('support'),
    ground: pick('ground'),
    school: pick('school'),
    passages: pick('passages'),
    touches: pick('touches'),
    coats: mergeList(base.coats, mine.coats, theirs.coats),
    events: mergeList(base.events, mine.events, theirs.events),
    revision: Math.max(mine.revision, theirs.revision) + 1,
    updatedAt: mine.updatedAt > theirs.updatedAt ? mine.updatedAt : theirs.updatedAt,
  };
}
