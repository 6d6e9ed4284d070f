interface Keyed {
  id: string;
}

/**
 * Three-way merge of a keyed list: what either side added stays, what either side took away goes, and
 * where both changed one item, `mine` holds. Items keep the order of `mine`, additions of `theirs` follow.
 */
export function mergeList<T extends Keyed>(base: T[], mine: T[], theirs: T[]): T[] {
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
