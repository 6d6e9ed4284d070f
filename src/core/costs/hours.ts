import { WORK_PACE } from '@/data/pace';
import type { CoatRole, Painting } from '../painting/schema';
import { laidEvents } from '../painting/sites';
import { laidCm2 } from '../session/pace';
import type { Session } from '../session/schema';
import { workedMinutes } from '../session/time';

/** Kinds of work on a picture: a coat by its role, or work without a coat (looking, drawing up, stretching). */
export type WorkKind = CoatRole | 'no-coat';

export interface HoursOf {
  key: string;
  minutes: number;
}

export interface PaceOf {
  role: CoatRole;
  minutes: number;
  /** Area that was laid in that time. */
  cm2: number;
  /** cm2 an hour. */
  perHour: number;
}

export interface PictureHours {
  minutes: number;
  byKind: HoursOf[];
  /** A coat over several passages gives each its share by area; work without a passage goes to `whole`. */
  byPassage: HoursOf[];
  pace: PaceOf[];
}

const ROLES = Object.keys(WORK_PACE) as CoatRole[];
export const WHOLE = 'whole';

const listed = (sums: Map<string, number>): HoursOf[] =>
  [...sums].map(([key, minutes]) => ({ key, minutes })).sort((a, b) => b.minutes - a.minutes);

/** Where the hours of a picture went, from the log. */
export function hoursOf(
  painting: Painting,
  sessions: readonly Session[],
  nowMs: number,
): PictureHours {
  const kinds = new Map<string, number>();
  const passages = new Map<string, number>();
  const add = (to: Map<string, number>, key: string, minutes: number) =>
    to.set(key, (to.get(key) ?? 0) + minutes);
  let minutes = 0;
  for (const { works } of sessions)
    for (const work of works) {
      if (work.paintingId !== painting.id) continue;
      const spent = workedMinutes(work, nowMs);
      if (!(spent > 0)) continue;
      minutes += spent;
      const coat = painting.coats.find((c) => c.id === work.coatId);
      add(kinds, coat?.role ?? 'no-coat', spent);
      const here = painting.passages.filter((p) => work.passageIds.includes(p.id));
      const total = here.reduce((sum, p) => sum + p.share, 0);
      if (total > 0) here.forEach((p) => add(passages, p.id, (spent * p.share) / total));
      else add(passages, WHOLE, spent);
    }
  return {
    minutes,
    byKind: listed(kinds),
    byPassage: listed(passages),
    pace: ROLES.flatMap((role): PaceOf[] => {
      const spent = kinds.get(role) ?? 0;
      const cm2 = laidEvents(painting)
        .filter((e) => e.role === role)
        .reduce((sum, e) => sum + laidCm2(painting, e), 0);
      return spent > 0 && cm2 > 0
        ? [{ role, minutes: spent, cm2, perHour: cm2 / (spent / 60) }]
        : [];
    }),
  };
}
