/** Minutes of a day, from midnight. */
export interface Stretch {
  from: number;
  to: number;
}

/** Which part of a stretch is in the hand. */
export type Held = 'from' | 'all' | 'to';

/** Stretches are set to the quarter of an hour. */
export const STEP = 15;
const DAY = 24 * 60;
/** What is shown at least: few paint between midnight and six. */
const SHOWN_FROM = 6 * 60;
const HOUR = 60;

/** A stretch that is dragged or nudged by some minutes: at least a step long, inside its day. */
export function stretched({ from, to }: Stretch, held: Held, by: number): Stretch {
  const d = Math.round(by / STEP) * STEP;
  if (held === 'from') return { from: Math.min(Math.max(0, from + d), to - STEP), to };
  if (held === 'to') return { from, to: Math.max(Math.min(DAY, to + d), from + STEP) };
  const moved = Math.min(Math.max(d, -from), DAY - to);
  return { from: from + moved, to: to + moved };
}

/** The hours of the day that are drawn: from six, or from the hour in which the earliest stretch begins. */
export const shownFrom = (week: Stretch[][]): number =>
  Math.floor(Math.min(SHOWN_FROM, ...week.flat().map((h) => h.from)) / HOUR) * HOUR;

/** Stretches of a day in order; those that meet or overlap are one. */
export function joined(hours: Stretch[]): Stretch[] {
  const out: Stretch[] = [];
  for (const h of [...hours].sort((a, b) => a.from - b.from)) {
    const last = out.at(-1);
    if (last && h.from <= last.to) out[out.length - 1] = { ...last, to: Math.max(last.to, h.to) };
    else out.push({ ...h });
  }
  return out;
}

const NEW_LENGTH = 120;

/** Two hours about a minute of the day that was tapped, on the half hour. */
export function hoursAbout(minute: number): Stretch {
  const from = Math.round((minute - NEW_LENGTH / 2) / 30) * 30;
  const inside = Math.min(Math.max(0, from), DAY - NEW_LENGTH);
  return { from: inside, to: inside + NEW_LENGTH };
}

/** What is in the hand where a stretch of some width is taken hold of: its ends are its outer thirds, at most a finger. */
export function heldAt(x: number, width: number, finger: number): Held {
  const end = Math.min(finger, width / 3);
  if (x < end) return 'from';
  return x > width - end ? 'to' : 'all';
}
