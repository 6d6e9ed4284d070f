import { mergeList } from '../merge-list';
import type { Session } from './schema';

/** Merge two descendants of one session, so that two tabs that both wrote lose nothing. */
export function mergeSessions(base: Session, mine: Session, theirs: Session): Session {
  const pick = <K extends keyof Session>(key: K): Session[K] =>
    JSON.stringify(mine[key]) === JSON.stringify(base[key]) ? theirs[key] : mine[key];
  return {
    ...mine,
    startedAt: pick('startedAt'),
    endedAt: pick('endedAt'),
    pauses: pick('pauses'),
    boxMinutes: pick('boxMinutes'),
    goal: pick('goal'),
    reached: pick('reached'),
    note: pick('note'),
    works: mergeList(base.works, mine.works, theirs.works),
    palette: mergeList(base.palette, mine.palette, theirs.palette),
    photos: mergeList(base.photos, mine.photos, theirs.photos),
    revision: Math.max(mine.revision, theirs.revision) + 1,
  };
}
