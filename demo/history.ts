import {
  beginSession,
  coverPalette,
  endSession,
  finishWork,
  putOut,
  takeUp,
  type Session,
} from '../src/core/session';
import type { LaidEvent, Painting } from '../src/core/painting';

/** The log of the invented studio: one session for each day on which something was laid. */
const MINUTE_MS = 60_000;
const FIRST_HOUR = 9;
const LAST_HOUR = 21;

/** A moment at which somebody is in a studio: nights are moved to the evening before. By the clock of the machine. */
function atTheEasel(ms: number): number {
  const at = new Date(ms);
  const hour = at.getHours();
  if (hour >= FIRST_HOUR && hour < LAST_HOUR) return ms;
  if (hour < FIRST_HOUR) at.setDate(at.getDate() - 1);
  at.setHours(LAST_HOUR - 1, at.getMinutes() % 50, 0, 0);
  return at.getTime();
}

/** The same by day: before the first hour it becomes that hour, after the last the hour before it. */
export function byDay(ms: number): number {
  const at = new Date(ms);
  const hour = at.getHours();
  if (hour < FIRST_HOUR) return at.setHours(FIRST_HOUR, at.getMinutes(), 0, 0);
  return hour < LAST_HOUR ? ms : at.setHours(LAST_HOUR - 1, at.getMinutes(), 0, 0);
}

/** Hours at which a day's work ends, by the day. */
const ENDS: [hour: number, minute: number][] = [
  [19, 50],
  [12, 15],
  [20, 20],
  [16, 40],
  [19, 10],
];
const RECENT_DAYS = 3;

/** A moment some days back: whole days at one of the usual hours, the last few days as they are. */
export function daysBefore(nowMs: number, days: number): number {
  const ms = nowMs - days * 86_400_000;
  if (!Number.isInteger(days) || days < RECENT_DAYS) return atTheEasel(ms);
  const [hour, minute] = ENDS[days % ENDS.length]!;
  return new Date(ms).setHours(hour, minute, 0, 0);
}

interface Done {
  painting: Painting;
  event: LaidEvent;
}

const dayOf = (ms: number): string => (Number.isFinite(ms) ? new Date(ms).toDateString() : '');
const GOALS = [
  'keep the lights for last',
  'one value for all the shadows',
  'edges only where the eye should go',
  'no more than the day allows',
];
const NOTES = [
  'North light, cool. The greys read warmer than they were mixed.',
  '',
  'Stopped before it was overworked; the near edge can wait.',
  'Wiped once and laid again, thinner.',
  '',
];
const WORK_MINUTES = 45;
const CLEANING_MINUTES = 12;

/** The session of a day: each coat that was laid is a work that ended when it was. */
function sessionOf(day: Done[], n: number): Session {
  const first = Date.parse(day[0]!.event.at) - (WORK_MINUTES + (n % 4) * 11) * MINUTE_MS;
  const last = Math.max(...day.map((d) => Date.parse(d.event.at)));
  let ids = 0;
  const making = (ms: number) => ({
    now: new Date(ms).toISOString(),
    newId: () => `demo-session-${n}-${++ids}`,
  });
  let session = beginSession(
    {
      boxMinutes: 120,
      goal: GOALS[n % GOALS.length]!,
      works: day.map(({ painting, event }) => ({
        paintingId: painting.id,
        passageIds: event.passageIds,
        coatId: event.coatId,
        name: event.name,
        plannedMinutes: WORK_MINUTES,
      })),
    },
    making(first),
  );
  day.forEach(({ event }, i) => {
    const work = session.works[i]!;
    const at = Date.parse(event.at);
    if (event.recipe.mix.length > 0 && i === 0)
      session = putOut(
        session,
        { name: event.name, recipe: event.recipe, ml: 4 + (n % 3) * 2 },
        making(first + 4 * MINUTE_MS),
      );
    if (i > 0 && work.stretches.length === 0)
      session = takeUp(session, work.id, making(at - 20 * MINUTE_MS));
    session = finishWork(session, work.id, making(at));
  });
  const end = making(last + CLEANING_MINUTES * MINUTE_MS);
  return coverPalette(
    endSession(
      {
        ...session,
        reached: n % 4 === 3 ? 'partly' : 'yes',
        note: NOTES[n % NOTES.length]!,
      },
      end,
    ),
    end,
  );
}

const GAP_MS = 2 * 60 * MINUTE_MS;

/** Every day of work as its session, oldest first. What was put out long ago is gone. */
export function demoSessions(paintings: Painting[], nowMs: number): Session[] {
  const days = new Map<string, Done[]>();
  const all = paintings
    .flatMap((painting) =>
      painting.events.flatMap((event): Done[] =>
        event.kind === 'laid' ? [{ painting, event }] : [],
      ),
    )
    .sort((a, b) => a.event.at.localeCompare(b.event.at));
  let key = '';
  let last = -Infinity;
  for (const done of all) {
    const at = Date.parse(done.event.at);
    // After a long gap it is another session of the same day.
    if (dayOf(at) !== dayOf(last) || at - last > GAP_MS) key = done.event.at;
    last = at;
    days.set(key, [...(days.get(key) ?? []), done]);
  }
  const RECENT_MS = 3 * 86_400_000;
  return [...days.values()].map((day, n) => {
    const session = sessionOf(day, n);
    const ended = Date.parse(session.endedAt!);
    return nowMs - ended < RECENT_MS
      ? session
      : { ...session, palette: session.palette.map((m) => ({ ...m, goneAt: session.endedAt })) };
  });
}
