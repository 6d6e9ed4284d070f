import { HABITS } from '@/data/habits';
import { PLAN_ODDS } from '@/data/plan';
import type { CoatRole, LaidEvent, Painting } from '../painting/schema';
import type { WorkWindow } from '../schedule/problem';
import { remember } from '../remember';
import { dateIn } from '../schedule/calendar';
import { paceFrom, type PaceSample } from './pace';
import type { Session } from './schema';

/** Hours for work of the last weeks, and what became of them. */
export interface Held {
  /** All of them. */
  hours: number;
  /** In which a session was held, and those missed whose day had one at another hour. */
  held: number;
  moved: number;
}

/** What the log says of how surely the painter's plans come true. */
export interface Habits {
  /** Spread of the logarithm of the minutes: of one sitting against another, and of all together. */
  ownSd: number;
  sharedSd: number;
  /** Sittings of which it is known. */
  sittings: number;
  /** Coats laid on a passage, and how many of them were taken down or gone back over. */
  laid: number;
  redone: number;
  /** Chance that a coat on a passage is done over; nothing where the log shows none. */
  redo: number;
  held: Held;
}

/** Of a painter who has no log yet. */
export const USUAL_HABITS: Habits = {
  ownSd: PLAN_ODDS.paceOwnSd,
  sharedSd: PLAN_ODDS.paceSharedSd,
  sittings: 0,
  laid: 0,
  redone: 0,
  redo: 0,
  held: { hours: 0, held: 0, moved: 0 },
};

/** How far a coat is on the way to the end; nothing for what is at home everywhere. */
const STAGE: Partial<Record<CoatRole, number>> = {
  underpainting: 1,
  'block-in': 2,
  overpainting: 3,
  detail: 4,
  glaze: 4,
  scumble: 4,
};

/** Coats that are done over when a passage fails. */
export const mayBeRedone = (role: CoatRole): boolean => role in STAGE;

const HOUR_MS = 3_600_000;
/** Long enough after the other that it was another session. */
const isAnotherDay = (from: string, to: string): boolean =>
  Date.parse(to) - Date.parse(from) >= HABITS.anotherDayHours * HOUR_MS;

/**
 * Coats laid on a passage, and how many of them were done over: all of it was taken down to a trace, or painted out, in
 * another session than it was laid; or an earlier stage was laid over it again. What is wiped back in the same session is
 * a way of laying.
 */
export const redoneOf = remember('done over', countRedone);

function countRedone(painting: Painting): { laid: number; redone: number } {
  let laid = 0;
  let redone = 0;
  for (const { id } of painting.passages) {
    const films = painting.events
      .filter(
        (e): e is LaidEvent =>
          e.kind === 'laid' &&
          e.passageIds.includes(id) &&
          e.spot === null &&
          !e.more &&
          !e.joins &&
          mayBeRedone(e.role),
      )
      .sort((a, b) => a.at.localeCompare(b.at));
    const down = painting.events.filter(
      (e) =>
        e.kind === 'reduced' &&
        e.passageId === id &&
        e.spotName === null &&
        (e.how === 'painted-out' || e.left === 'trace' || e.left === 'nothing'),
    );
    laid += films.length;
    films.forEach((film, k) => {
      const next = films[k + 1];
      const until = next?.at ?? '9999';
      const taken = down.some((e) => e.at < until && isAnotherDay(film.at, e.at));
      const back = next !== undefined && STAGE[next.role]! < STAGE[film.role]!;
      if (taken || back) redone += 1;
    });
  }
  return { laid, redone };
}

/**
 * What became of hours for work that are past: held where a session met them, moved where one was on the same day at
 * another hour, missed else. Counted from the day of the first session on.
 */
export function heldOf(windows: WorkWindow[], sessions: Session[], timeZone: string): Held {
  const times = sessions
    .filter((s) => s.endedAt !== null)
    .map((s) => ({ from: Date.parse(s.startedAt), to: Date.parse(s.endedAt!) }));
  const since = Math.min(...times.map((t) => t.from));
  const counted = windows.filter((w) => w.toMs > since);
  const meets = (w: WorkWindow, t: { from: number; to: number }): boolean =>
    t.from < w.toMs && t.to > w.fromMs;
  const missed = counted.filter((w) => !times.some((t) => meets(w, t)));
  // Sessions in no hours of the plan.
  const elsewhere = times.filter((t) => !counted.some((w) => meets(w, t)));
  const days = new Set(elsewhere.map((t) => dateIn(t.from, timeZone)));
  const missedDays = new Set(missed.map((w) => dateIn(w.fromMs, timeZone)));
  return {
    hours: counted.length,
    held: counted.length - missed.length,
    // One session makes up for one stretch of its day.
    moved: [...days].filter((day) => missedDays.has(day)).length,
  };
}

/** Chance that hours for work are held; null while too few are past to say so. */
export const holdChance = ({ hours, held, moved }: Held): number | null =>
  hours < HABITS.leastHours ? null : (held + moved + 1) / (hours + 2);

/**
 * The painter's habits by the log: the spreads start from the usual ones, which count as some sittings; the chance of
 * doing a coat over starts from nothing.
 * @param samples what the sessions say of the pace (`paceSamples`)
 * @param windows hours for work of the last weeks
 */
export function habitsOf(
  samples: PaceSample[],
  sessions: Session[],
  paintings: Record<string, Painting | undefined>,
  windows: WorkWindow[],
  timeZone: string,
): Habits {
  const pace = paceFrom(samples);
  const n = samples.length;
  const squares = samples.reduce((s, { role, log }) => s + (log - Math.log(pace[role])) ** 2, 0);
  const own = Math.sqrt(
    (HABITS.spreadCounts * PLAN_ODDS.paceOwnSd ** 2 + squares) / (HABITS.spreadCounts + n),
  );
  // How far off all estimates together are: what the sittings leave of the usual doubt, and the mood of the weeks.
  const doubt = 1 / Math.sqrt(PLAN_ODDS.paceSharedSd ** -2 + n / own ** 2);
  const counts = Object.values(paintings).flatMap((p) => (p ? [redoneOf(p)] : []));
  const laid = counts.reduce((s, c) => s + c.laid, 0);
  const redone = counts.reduce((s, c) => s + c.redone, 0);
  return {
    ownSd: own,
    sharedSd: n === 0 ? PLAN_ODDS.paceSharedSd : Math.max(HABITS.sharedLeast, doubt),
    sittings: n,
    laid,
    redone,
    redo: redone / (HABITS.redoCounts + laid),
    held: heldOf(windows, sessions, timeZone),
  };
}
