import { NO_ACCOUNTS } from '../costs/none';
import { NO_FINISHING } from '../finish/none';
import { NO_LOOKING } from '../looking/none';
import { mergeList } from '../merge-list';
import type { Painting, Passage } from './schema';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

type Optional =
  'bothers' | 'gates' | 'planning' | 'easel' | 'study' | 'looking' | 'finishing' | 'accounts';

/** Lists entry by entry; every other field as the one that changed it has it. */
function mergeParts<T extends object>(none: T, base: T, mine: T, theirs: T): T {
  const keys = new Set([...Object.keys(mine), ...Object.keys(theirs)]) as Set<keyof T>;
  const out = { ...none };
  for (const key of keys) {
    const [b, m, t] = [base[key], mine[key], theirs[key]];
    const merged = Array.isArray(none[key])
      ? mergeList((b ?? []) as { id: string }[], (m ?? []) as never, (t ?? []) as never)
      : same(m, b)
        ? t
        : m;
    if (merged !== undefined) out[key] = merged as T[keyof T];
  }
  return out;
}

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
  if (mine.looking || theirs.looking) {
    const [b, m, t] = [
      base.looking ?? NO_LOOKING,
      mine.looking ?? NO_LOOKING,
      theirs.looking ?? NO_LOOKING,
    ];
    out.looking = {
      pictures: mergeList(b.pictures, m.pictures, t.pictures),
      outlines: mergeList(b.outlines, m.outlines, t.outlines),
      intents: mergeList(b.intents, m.intents, t.intents),
      borders: mergeList(b.borders, m.borders, t.borders),
      points: mergeList(b.points, m.points, t.points),
    };
    const brush = same(m.finestBrushMm, b.finestBrushMm) ? t.finestBrushMm : m.finestBrushMm;
    if (brush !== undefined) out.looking.finestBrushMm = brush;
  }
  if (mine.finishing || theirs.finishing)
    out.finishing = mergeParts(
      NO_FINISHING,
      base.finishing ?? NO_FINISHING,
      mine.finishing ?? NO_FINISHING,
      theirs.finishing ?? NO_FINISHING,
    );
  if (mine.accounts || theirs.accounts)
    out.accounts = mergeParts(
      NO_ACCOUNTS,
      base.accounts ?? NO_ACCOUNTS,
      mine.accounts ?? NO_ACCOUNTS,
      theirs.accounts ?? NO_ACCOUNTS,
    );
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
 * A passage that one side joined or took out, and the other laid something on, is there again: nothing that was done is
 * lost. What only says something of a passage that is gone goes with it.
 */
function withPassagesNamed(
  base: Painting,
  mine: Painting,
  theirs: Painting,
  merged: Painting,
): Painting {
  const here = new Set(merged.passages.map((p) => p.id));
  const named = new Set(
    merged.events.flatMap((e) => (e.kind === 'laid' ? e.passageIds : [e.passageId])),
  );
  const back = [...mine.passages, ...theirs.passages, ...base.passages].filter(
    (p, i, all) => named.has(p.id) && !here.has(p.id) && all.findIndex((q) => q.id === p.id) === i,
  );
  const all = [...merged.passages, ...back];
  const ids = new Set(all.map((p) => p.id));
  const total = all.reduce((sum, p) => sum + p.share, 0);
  const lost = merged.coats.some((c) => c.passageIds.some((id) => !ids.has(id)));
  const dangling =
    merged.touches.flat().some((id) => !ids.has(id)) ||
    (merged.bothers ?? []).some((b) => b.passageId !== null && !ids.has(b.passageId));
  if (back.length === 0 && !lost && !dangling) return merged;
  const kept = (list: string[]): string[] => list.filter((id) => ids.has(id));
  return {
    ...merged,
    passages: back.length === 0 ? all : all.map((p) => ({ ...p, share: p.share / total })),
    touches: merged.touches.filter((pair) => pair.every((id) => ids.has(id))),
    coats: merged.coats
      .map((c) => ({ ...c, passageIds: kept(c.passageIds) }))
      .filter((c) => c.passageIds.length > 0),
    ...(merged.bothers
      ? {
          bothers: merged.bothers.map((b) =>
            b.passageId !== null && !ids.has(b.passageId) ? { ...b, passageId: null } : b,
          ),
        }
      : {}),
  };
}

/**
 * Merge two descendants of one painting, so that two tabs that both wrote lose nothing. Entries and
 * coats merge one by one; for single values `mine` holds where it changed.
 */
export function mergePaintings(base: Painting, mine: Painting, theirs: Painting): Painting {
  const pick = <K extends keyof Painting>(key: K): Painting[K] =>
    JSON.stringify(mine[key]) === JSON.stringify(base[key]) ? theirs[key] : mine[key];
  const { easel: _easel, study: _study, ...whole } = mine;
  return withPassagesNamed(base, mine, theirs, {
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
  });
}
