import { mergeList } from '../merge-list';
import type { Painting, Passage } from './schema';

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

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
const sharesOf = (passages: Passage[]): [string, number][] => passages.map((p) => [p.id, p.share]);

/**
 * Names one by one, so that two passages renamed in two tabs both keep their new names; shares and which passages
 * there are as one, since together they make the whole picture.
 */
function mergePassages(base: Passage[], mine: Passage[], theirs: Passage[]): Passage[] {
  const shaped = same(sharesOf(mine), sharesOf(base)) ? theirs : mine;
  const nameIn = (list: Passage[], id: string) => list.find((p) => p.id === id)?.name;
  return shaped.map((passage) => {
    const [was, here, there] = [base, mine, theirs].map((list) => nameIn(list, passage.id));
    const name = (here !== was ? here : there) ?? passage.name;
    return name === passage.name ? passage : { ...passage, name };
  });
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
    passages: mergePassages(base.passages, mine.passages, theirs.passages),
    touches: pick('touches'),
    coats: mergeList(base.coats, mine.coats, theirs.coats),
    events: mergeList(base.events, mine.events, theirs.events),
    ...optionalLists(base, mine, theirs),
    revision: Math.max(mine.revision, theirs.revision) + 1,
    updatedAt: mine.updatedAt > theirs.updatedAt ? mine.updatedAt : theirs.updatedAt,
  };
}
