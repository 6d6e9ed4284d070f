import type { Session, Stretch, Work } from './schema';

const MINUTE_MS = 60_000;

const minutesOf = (stretches: Stretch[], nowMs: number): number =>
  stretches.reduce(
    (sum, s) => sum + Math.max(0, (s.to === null ? nowMs : Date.parse(s.to)) - Date.parse(s.from)),
    0,
  ) / MINUTE_MS;

/** Minutes spent on a work, up to now where it runs. */
export const workedMinutes = (work: Work, nowMs: number): number =>
  minutesOf(work.stretches, nowMs);

/** From beginning to end without the interruptions; none where the clock was set back past the beginning. */
export const sessionMinutes = (session: Session, nowMs: number): number =>
  Math.max(
    0,
    minutesOf([{ from: session.startedAt, to: session.endedAt }], nowMs) -
      minutesOf(session.pauses, nowMs),
  );

/** Minutes of interruptions, up to now where one lasts. */
export const pausedMinutes = (session: Session, nowMs: number): number =>
  minutesOf(session.pauses, nowMs);

/** How a time box is split: what each work has had, what it has left, and what is left of the box. */
export interface TimeBox {
  leftMinutes: number | null;
  works: { work: Work; worked: number; left: number | null }[];
}

/** The time box of a session as it stands now; minutes. */
export const timeBoxOf = (session: Session, nowMs: number): TimeBox => ({
  leftMinutes:
    session.boxMinutes === null ? null : session.boxMinutes - sessionMinutes(session, nowMs),
  works: session.works.map((work) => {
    const worked = workedMinutes(work, nowMs);
    return {
      work,
      worked,
      left: work.plannedMinutes === null ? null : work.plannedMinutes - worked,
    };
  }),
});

/**
 * Minutes of the sessions that were begun between one moment and the next.
 * @param edges ms, in order; one more than there are answers
 */
export const minutesBetween = (sessions: Session[], edges: number[], nowMs: number): number[] =>
  edges
    .slice(1)
    .map((to, i) =>
      sessions
        .filter((s) => Date.parse(s.startedAt) >= edges[i]! && Date.parse(s.startedAt) < to)
        .reduce((sum, s) => sum + sessionMinutes(s, nowMs), 0),
    );

const minutesOfWorks = (works: readonly Work[], fromMs: number, toMs: number): number =>
  works
    .flatMap((w) => w.stretches)
    .reduce((sum, { from, to }) => {
      const end = Math.min(toMs, to === null ? toMs : Date.parse(to));
      return sum + Math.max(0, end - Math.max(fromMs, Date.parse(from)));
    }, 0) / MINUTE_MS;

/** Minutes spent on a painting from one moment to another, ms; of a sitting that lies over an edge, its part inside. */
export const minutesWithin = (
  sessions: readonly Session[],
  paintingId: string,
  fromMs: number,
  toMs: number,
): number =>
  minutesOfWorks(
    sessions.flatMap((s) => s.works).filter((w) => w.paintingId === paintingId),
    fromMs,
    toMs,
  );

/** The same on all paintings. */
export const minutesOfAll = (sessions: readonly Session[], fromMs: number, toMs: number): number =>
  minutesOfWorks(
    sessions.flatMap((s) => s.works),
    fromMs,
    toMs,
  );

/** Minutes spent on each painting over all sessions. */
export function minutesByPainting(sessions: Session[], nowMs: number): Record<string, number> {
  const out: Record<string, number> = {};
  for (const session of sessions)
    for (const work of session.works)
      out[work.paintingId] = (out[work.paintingId] ?? 0) + workedMinutes(work, nowMs);
  return out;
}
