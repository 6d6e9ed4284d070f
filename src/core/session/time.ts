import { type Painting } from '../painting/schema';
import { areaCm2 } from '../painting/vocabulary';
import { WORK_PACE, PACE } from '@/data/pace';
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

/** Minutes spent on each painting over all sessions. */
export function minutesByPainting(sessions: Session[], nowMs: number): Record<string, number> {
  const out: Record<string, number> = {};
  for (const session of sessions)
    for (const work of session.works)
      out[work.paintingId] = (out[work.paintingId] ?? 0) + workedMinutes(work, nowMs);
  return out;
}

type Role = keyof typeof WORK_PACE;

/** Area of some passages of a painting, cm2. */
export const passagesCm2 = (painting: Painting, passageIds: string[]): number =>
  areaCm2(painting.support) *
  painting.passages.filter((p) => passageIds.includes(p.id)).reduce((s, p) => s + p.share, 0);

/**
 * The painter's own pace by kind of coat, cm2 a minute: the usual pace counts as two sessions, and every finished
 * work of ten minutes or more as one, on the logarithm.
 */
export function paceOf(
  sessions: Session[],
  paintings: Record<string, Painting | undefined>,
): Record<Role, number> {
  const sums = new Map<Role, { log: number; n: number }>();
  for (const session of sessions) {
    if (session.endedAt === null) continue;
    for (const work of session.works) {
      const painting = paintings[work.paintingId];
      const coat = painting?.coats.find((c) => c.id === work.coatId);
      const minutes = workedMinutes(work, Date.parse(session.endedAt));
      if (!painting || !coat || !work.done || minutes < PACE.leastMinutes) continue;
      const sum = sums.get(coat.role) ?? { log: 0, n: 0 };
      sum.log += Math.log(passagesCm2(painting, work.passageIds) / minutes);
      sum.n += 1;
      sums.set(coat.role, sum);
    }
  }
  return Object.fromEntries(
    Object.entries(WORK_PACE).map(([role, { cm2PerMinute }]) => {
      const own = sums.get(role as Role);
      const log = Math.log(cm2PerMinute);
      return [
        role,
        own
          ? Math.exp((PACE.usualCounts * log + own.log) / (PACE.usualCounts + own.n))
          : cm2PerMinute,
      ];
    }),
  ) as Record<Role, number>;
}
