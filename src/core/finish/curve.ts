import { FINISH } from '@/data/finish';
import type { Painting } from '../painting/schema';
import { laidEvents } from '../painting/sites';
import { areaCm2 } from '../painting/vocabulary';
import { laidCm2 } from '../session/pace';
import type { Session } from '../session/schema';
import { minutesWithin } from '../session/time';

/** One sitting at a picture. */
export interface Sitting {
  fromMs: number;
  /** Hours at the picture up to the end of it. */
  hours: number;
  /** How much of the picture was painted by then, counted as often as it was painted; pictures. */
  painted: number;
  /** Of bothers: how many were noted by then, and how many settled. */
  found: number;
  closed: number;
}

export interface Curve {
  sittings: Sitting[];
  /** Pictures painted an hour over all sittings, and over the last of the hours; null while there are too few. */
  meanPerHour: number | null;
  lastPerHour: number | null;
  /** The last hours changed less than half as much as all of them: a curve that flattens, never a verdict. */
  flattens: boolean;
}

/**
 * What the hours have changed, sitting by sitting: from the log and the record. Entries without a session count with
 * the sitting before them; hours without an entry count too: looking is work.
 */
export function curveOf(painting: Painting, sessions: readonly Session[], nowMs: number): Curve {
  const whole = areaCm2(painting.support);
  const mine = sessions
    .filter((s) => s.works.some((w) => w.paintingId === painting.id))
    .sort((a, b) => a.startedAt.localeCompare(b.startedAt));
  const laid = laidEvents(painting).map((e) => ({
    ms: Date.parse(e.at),
    share: laidCm2(painting, e) / whole,
  }));
  const bothers = painting.bothers ?? [];
  const upTo = (times: (string | null)[], ms: number): number =>
    times.filter((at) => at !== null && Date.parse(at) < ms).length;
  let hours = 0;
  const sittings = mine.map((session, i): Sitting => {
    const fromMs = Date.parse(session.startedAt);
    const endMs = session.endedAt === null ? nowMs : Date.parse(session.endedAt);
    const next = mine[i + 1];
    const untilMs = next ? Date.parse(next.startedAt) : Math.max(nowMs, endMs) + 1;
    hours += minutesWithin([session], painting.id, -Infinity, endMs) / 60;
    return {
      fromMs,
      hours,
      painted: laid.filter((e) => e.ms < untilMs).reduce((sum, e) => sum + e.share, 0),
      found: upTo(
        bothers.map((b) => b.at),
        untilMs,
      ),
      closed: upTo(
        bothers.map((b) => b.doneAt),
        untilMs,
      ),
    };
  });
  return { sittings, ...ratesOf(sittings) };
}

/** Painted up to an hour of the work, along straight lines between the sittings. */
function paintedAt(sittings: readonly Sitting[], hours: number): number {
  let before = { hours: 0, painted: 0 };
  for (const s of sittings) {
    if (hours <= s.hours) {
      const span = s.hours - before.hours;
      const share = span > 0 ? (hours - before.hours) / span : 1;
      return before.painted + share * (s.painted - before.painted);
    }
    before = s;
  }
  return before.painted;
}

function ratesOf(sittings: readonly Sitting[]): Omit<Curve, 'sittings'> {
  const last = sittings.at(-1);
  if (!last || sittings.length < FINISH.leastSittings || !(last.hours > 0))
    return { meanPerHour: null, lastPerHour: null, flattens: false };
  const from = last.hours * (1 - FINISH.lastShare);
  const meanPerHour = last.painted / last.hours;
  const lastPerHour = (last.painted - paintedAt(sittings, from)) / (last.hours * FINISH.lastShare);
  return {
    meanPerHour,
    lastPerHour,
    flattens: meanPerHour > 0 && lastPerHour < FINISH.flatShare * meanPerHour,
  };
}
