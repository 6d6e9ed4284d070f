import equal from 'fast-deep-equal';
import type { PlanView } from './usePlanView';

/** The last of two that say the same, so that what is drawn from it need not be drawn anew. */
const kept = <T>(last: T | undefined, next: T): T => (equal(last, next) ? last! : next);

const keptBy = <T>(last: T[] | undefined, next: T[], key: (x: T) => string): T[] => {
  const known = new Map(last?.map((x) => [key(x), x]));
  const list = next.map((x) => kept(known.get(key(x)), x));
  return kept(last, list);
};

/** The next view with everything in it that has not changed since the last. */
export function settledIn(last: PlanView | null, next: PlanView): PlanView {
  const before = new Map(last?.paintings.map((p) => [p.painting.id, p]));
  return {
    ...next,
    days: kept(last?.days, next.days),
    sessions: kept(last?.sessions, next.sessions),
    bandSessions: keptBy(last?.bandSessions, next.bandSessions, (s) => s.key),
    paintings: next.paintings.map((p) => {
      const was = before.get(p.painting.id);
      return kept(was, {
        ...p,
        goal: kept(was?.goal ?? null, p.goal),
        lanes: keptBy(was?.lanes, p.lanes, (l) => l.passageId),
      });
    }),
  };
}
