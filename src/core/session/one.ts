import { PACE } from '@/data/pace';
import { endSession } from './session';
import type { Session } from './schema';

const MINUTE_MS = 60_000;

/** The last moment that is noted in a session. */
function lastNotedMs(session: Session): number {
  const noted = [
    session.startedAt,
    ...session.pauses.flatMap((p) => [p.from, p.to]),
    ...session.works.flatMap((w) => w.stretches.flatMap((s) => [s.from, s.to])),
    ...session.palette.flatMap((m) => [m.madeAt, m.coveredAt, m.goneAt]),
    ...session.photos.map((p) => p.takenAt),
  ];
  return Math.max(...noted.flatMap((at) => (at === null ? [] : [Date.parse(at)])));
}

/** Until when a session that runs can be believed to have lasted: what was planned, or an hour, after the last thing noted. */
function believedMs(session: Session): number {
  const planned = session.works.find((w) => w.stretches.some((s) => s.to === null));
  return lastNotedMs(session) + (planned?.plannedMinutes ?? PACE.believedMinutes) * MINUTE_MS;
}

/** When a session that still runs but was probably forgotten will have ended, ms; null where it may well go on. */
export function forgottenEndMs(session: Session, nowMs: number): number | null {
  const end = believedMs(session);
  return session.endedAt === null && nowMs - end > PACE.forgottenMinutes * MINUTE_MS ? end : null;
}

/**
 * One session runs in a studio. Where a second one was begun in another tab, or came with a file, the one begun last
 * goes on, and each earlier one ends: when the next began, but no later than it can be believed to have lasted, so that
 * one forgotten elsewhere does not keep days on its painting. Whoever works it out comes to the same.
 * @returns the sessions that end, as they then are
 */
export function endedByAnother(sessions: Session[]): Session[] {
  const running = sessions
    .filter((s) => s.endedAt === null)
    .sort((a, b) => a.startedAt.localeCompare(b.startedAt) || (a.id < b.id ? -1 : 1));
  return running.slice(0, -1).map((session, i) => {
    const nextMs = Date.parse(running[i + 1]!.startedAt);
    const now = new Date(Math.min(nextMs, believedMs(session))).toISOString();
    return endSession(session, { now });
  });
}
