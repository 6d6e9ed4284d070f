import { mergeList } from '../merge-list';
import type { Painting } from './schema';

/** What older paintings do not have: they stay away where nobody made one. */
function optionalLists(
  base: Painting,
  mine: Painting,
  theirs: Painting,
): Partial<Pick<Painting, 'bothers' | 'gates' | 'planning'>> {
  const out: Partial<Pick<Painting, 'bothers' | 'gates' | 'planning'>> = {};
  if (mine.bothers || theirs.bothers)
    out.bothers = mergeList(base.bothers ?? [], mine.bothers ?? [], theirs.bothers ?? []);
  if (mine.gates || theirs.gates)
    out.gates = mergeList(base.gates ?? [], mine.gates ?? [], theirs.gates ?? []);
  const planning =
    JSON.stringify(mine.planning) === JSON.stringify(base.planning)
      ? theirs.planning
      : mine.planning;
  if (planning) out.planning = planning;
  return out;
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
    ...optionalLists(base, mine, theirs),
    revision: Math.max(mine.revision, theirs.revision) + 1,
    updatedAt: mine.updatedAt > theirs.updatedAt ? mine.updatedAt : theirs.updatedAt,
  };
}
