import { format } from 'date-fns/format';
import { isSameDay } from 'date-fns/isSameDay';
import type { Impossible } from '@/core/schedule';
import type { DelayRow } from '@/core/schedule/delays';
import type { Held } from '@/core/schedule/chain';
import { shortTime } from '@/ui/time/words';

const TWENTY = 20;

/** "17 in 20"; never "20 in 20" nor "0 in 20" unless every draw says so. */
export function inTwenty(chance: number): string {
  const n = Math.round(chance * TWENTY);
  if (n === TWENTY && chance < 1) return chance > 0.995 ? 'almost sure' : '19 in 20';
  if (n === 0 && chance > 0) return 'under 1 in 20';
  return `${n} in 20`;
}

export const percent = (chance: number): string => {
  const p = Math.round(chance * 100);
  if (p === 100 && chance < 1) return '> 99 %';
  if (p === 0 && chance > 0) return '< 1 %';
  return `${p} %`;
};

const NOON = 12;
const AFTERNOON = 14;
const EVENING = 18;

/** "noon", "evening": by when on a day. */
export function partOfDay(ms: number): string {
  const hour = new Date(ms).getHours();
  if (hour < NOON) return 'in the morning';
  if (hour < AFTERNOON) return 'at noon';
  return hour < EVENING ? 'in the afternoon' : 'in the evening';
}

export const dayWord = (ms: number, nowMs: number): string =>
  isSameDay(ms, nowMs) ? 'today' : shortTime(ms, nowMs);

/** "in today", "on Wed 2" */
export const onDay = (ms: number, nowMs: number): string =>
  isSameDay(ms, nowMs) ? 'in today' : `on ${shortTime(ms, nowMs)}`;

/** "Fri 13, noon"; a day far off with its month. */
export const byWhen = (row: DelayRow, nowMs: number): string =>
  `${isSameDay(row.untilMs, nowMs) ? 'today' : shortTime(row.untilMs, nowMs)} ${partOfDay(row.untilMs)}`;

export const hours = (fromMs: number, toMs: number): string =>
  `${format(fromMs, 'HH:mm')}–${format(toMs, 'HH:mm')}`;

/** "2 h 15" */
export function minutesWord(minutes: number): string {
  const h = Math.floor(minutes / 60);
  const m = Math.round(minutes - h * 60);
  if (h === 0) return `${m} min`;
  return m === 0 ? `${h} h` : `${h} h ${m}`;
}

const HOUR_MS = 3_600_000;

/** "Kept out of Mon 16 to Sun 22 and Mon 2 to Sun 8 Mar"; what began in the past without its beginning. */
export function keptOutWords(
  times: { from?: string | undefined; until: string }[],
  nowMs: number,
): string {
  const inOrder = [...times].sort((a, b) => a.until.localeCompare(b.until));
  const words = inOrder.map(({ from, until }) => {
    const last = shortTime(Date.parse(until) - HOUR_MS, nowMs);
    const begun = from === undefined || Date.parse(from) <= nowMs;
    return begun ? `all days to ${last}` : `${shortTime(Date.parse(from), nowMs)} to ${last}`;
  });
  // Several works are often kept out of the same week.
  return `Kept out of ${[...new Set(words)].join(' and ')}`;
}

export const HELD_WORDS: Record<Held, string> = {
  start: 'can begin at once',
  wait: 'waits until what lies below is dry',
  hours: 'could begin before; waits for your next hours',
  painter: 'could begin before; other work fills the hours',
};

/** What became impossible, in a sentence. @param nameOf a work by its id, e.g. "Glaze on the wall" */
export function impossibleWords(
  what: Impossible,
  nameOf: (work: string) => string,
  nowMs: number,
  slotMinutes: number,
): string {
  const name = nameOf(what.work);
  const at = (ms: number) => `${dayWord(ms, nowMs)}, ${format(ms, 'HH:mm')}`;
  switch (what.kind) {
    case 'no-room':
      return `${name} has no place in the year ahead: your hours are full, or what it waits for has none. Add hours, or take something out.`;
    case 'no-sitting-long-enough':
      return `${name} needs ${minutesWord(what.slots * slotMinutes)} in one sitting; your longest is ${minutesWord(what.longest * slotMinutes)}. Lengthen a day under Hours, or set the coat to be done in parts.`;
    case 'never-dry':
      return `What lies below ${name} does not dry in this air. Warm the studio well above freezing.`;
    case 'pin-outside-hours':
      return `${name} is pinned to ${at(what.pinMs)}, outside your hours. It was put where it fits.`;
    case 'pin-too-early':
      return what.startMs === null
        ? `${name} cannot be at ${at(what.pinMs)}: what lies below is not dry by then, or the hour is taken.`
        : `${name} cannot be at ${at(what.pinMs)}: what lies below is not dry by then, or the hour is taken. It stands at ${at(what.startMs)}.`;
    case 'pins-meet':
      return `${name} and ${nameOf(what.other)} are both pinned to ${at(what.pinMs)}. ${what.startMs === null ? `${name} has no place` : `${name} stands at ${at(what.startMs)}`}; give one of them another time.`;
    case 'missed-wet':
      return `${name} was meant into open paint and cannot catch it. It waits until that is dry.`;
  }
}

/** A coat that a rule refuses whatever it waits for is planned all the same: the painter may go against the rule. */
export const refusedWords = (name: string): string =>
  `${name} is refused by a rule, however long it waits. Open its section for the reason and what mends it; the plan goes on as if it were allowed.`;
