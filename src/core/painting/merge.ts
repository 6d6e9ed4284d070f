import { mergeList } from '../merge-list';
import type { Painting, Passage } from './schema';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

type Optional = 'bothers' | 'gates' | 'planning' | 'easel' | 'study';

/** What older paintings do not have: they stay away where nobody made one. */
function optionalLists(
  base: Painting,
  mine: Painting,
  theirs: Painting,
): Partial<Pick<Painting, Optional>> {
  const out: Partial<Pick<Painting, Optional>> = {};
  if (mine.bothers || theirs.bothers)
    out.bothers = mergeList(base.bothers ?? [], mine.bothers ?? [], theirs.bothers ?? []);
  if (mine.gates || theirs.gates)
    out.gates = mergeList(base.gates ?? [], mine.gates ?? [], theirs.gates ?? []);
  const pick = <K extends Optional>(key: K): Painting[K] =>
    same(mine[key], base[key]) ? theirs[key] : mine[key];
  const planning = pick('planning');
  if (planning) out.planning = planning;
  const easel = pick('easel');
  if (easel) out.easel = easel;
  const study = pick('study');
  if (study) out.study = study;
  return out;
}

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
  const { easel: _easel, study: _study, ...whole } = mine;
  return {
    ...whole,
    title: pick('title'),
    support: pick('support'),
    ground: pick('ground'),
    method: pick('method'),
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
