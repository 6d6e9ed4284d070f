import type { Compiled } from './compile';
import { closedAfter, closesAt, slotAfter } from './waits';

/** Places that are tried for a block before it is taken for possible: only one of many works has as many. */
const MOST_LOOKS = 2000;

const NOT_ASKED = -1;

/** Whether a block begun at a slot can catch all its paint open, were nothing else in the calendar. */
function canMeet(of: Compiled, b: number, begun: number): boolean {
  const { slots, blocks, length, lags, wets } = of;
  const block = blocks[b]!;
  const at = new Map<number, number>();
  let looks = 0;
  const place = (k: number): boolean => {
    const i = block[k];
    if (i === undefined || looks > MOST_LOOKS) return true;
    let t = begun;
    let last = k === 0 ? begun : slots.count - 1;
    for (const lag of lags[i]!)
      if (at.has(lag.from)) t = Math.max(t, slotAfter(of, lag, at.get(lag.from)!));
    for (const wet of wets[i]!) {
      const from = at.get(wet.from);
      if (from === undefined) continue;
      t = Math.max(t, from + length[wet.from]!);
      if (wet.sameSitting) last = Math.min(last, slots.end[slots.window[from]!]! - 1);
    }
    for (; t <= last; t++) {
      looks += 1;
      const end = t + length[i]!;
      if (end > slots.end[slots.window[t]!]!) continue;
      const endMs = slots.start[t]! + length[i]! * slots.ms;
      const open = wets[i]!.every((wet) => {
        const from = at.get(wet.from);
        if (wet.from >= 0 && from === undefined) return true;
        return endMs <= (from === undefined ? closesAt(wet, 0) : closedAfter(of, wet, from));
      });
      // It closes, and later it is no more open.
      if (!open) return false;
      if ([...at].some(([j, s]) => t < s + length[j]! && s < end)) continue;
      at.set(i, t);
      if (place(k + 1)) return true;
      at.delete(i);
    }
    return false;
  };
  return place(0);
}

/**
 * The first slot at or after `t` from which a block may be begun and its paint still be caught open: from elsewhere it
 * cannot be had even in an empty calendar, and need not be tried. The number of slots where there is none.
 */
export function meetingFrom(of: Compiled, b: number, t: number): number {
  const { count } = of.slots;
  const from = Math.min(t, count);
  const next = (of.meetings[b] ??= new Int32Array(count + 1).fill(NOT_ASKED).fill(count, count));
  // Only what is asked for: a long calendar has thousands of slots, and most blocks find their place in the first.
  let k = from;
  while (next[k] === NOT_ASKED && !canMeet(of, b, k)) k += 1;
  const found = next[k] === NOT_ASKED ? k : next[k]!;
  next.fill(found, from, k + 1);
  return found;
}
