import { DAY_MS } from '../drying';
import type { Compiled } from './compile';
import type { Front } from './front';
import { PENALTY } from './problem';
import { reachOf } from './tails';

/**
 * Room to value a plan, the least days after the last work of each painting, and for each work the days that the calendar
 * must still have for what follows.
 */
export interface ValueRoom {
  chain: Float64Array;
  row: Int32Array;
  finals: Float64Array;
  reach: Float64Array;
}

/** That room for a problem: the doses after the last works of its paintings are taken as days. */
export function valueRoom(of: Compiled): ValueRoom {
  const { goals } = of;
  const finals = Float64Array.from(goals, ({ ends }) =>
    ends.reduce((least, end) => (end.from >= 0 ? Math.min(least, end.dose) : least), Infinity),
  ).map((days) => (days === Infinity ? 0 : days));
  return {
    chain: new Float64Array(goals.length),
    row: new Int32Array(goals.length),
    finals,
    reach: reachOf(of),
  };
}

/**
 * What the plan will cost, about, by what stands and by the hours and waits of what is left: the paintings with the
 * fewest hours left first, each no sooner than its waits allow, and sessions for the hours that are left.
 */
export function valueOf(front: Front, next: number, tails: Float64Array, room: ValueRoom): number {
  const { state, load } = front;
  const { of, weights } = state;
  const { slots, goals, project, problem, horizonMs } = of;
  const { chain, row, finals, reach } = room;
  chain.fill(0);
  let over = 0;
  for (let k = 0; k < front.count; k++) {
    const i = front.open[k]!;
    const from = slots.start[Math.max(next, front.ready[k]!)] ?? horizonMs;
    over += Math.max(0, from + reach[i]! * DAY_MS - horizonMs);
    const g = project[i]!;
    if (g < 0) continue;
    const end = from + tails[i]! * DAY_MS;
    if (end > chain[g]!) chain[g] = end;
  }
  let count = 0;
  for (let g = 0; g < goals.length; g++) if (load[g]! > 0) row[count++] = g;
  // Insertion sort: the fewest hours left first.
  for (let a = 1; a < count; a++) {
    const g = row[a]!;
    let b = a - 1;
    for (; b >= 0 && load[row[b]!]! > load[g]!; b--) row[b + 1] = row[b]!;
    row[b + 1] = g;
  }
  // What the calendar is too short for is given up last of all.
  let sum = PENALTY * (front.lost + over / DAY_MS);
  sum += weights.session * state.sessions + weights.mediumChange * state.mediumChanges;
  let slot = next;
  let left = 0;
  for (let a = 0; a < count; a++) {
    const g = row[a]!;
    left += load[g]!;
    slot = next + left;
    const by = (slots.start[slot - 1] ?? horizonMs) + slots.ms + finals[g]! * DAY_MS;
    chain[g] = Math.max(chain[g]!, by);
  }
  for (let g = 0; g < goals.length; g++) {
    const { dueMs, weight } = goals[g]!;
    const at = load[g]! > 0 ? chain[g]! : front.done[g]!;
    const late = dueMs === null ? 0 : Math.max(0, at - dueMs);
    sum += (weights.finishDay * (at - problem.nowMs) + weights.lateDay * weight * late) / DAY_MS;
  }
  const slotsOfSession = Math.max(1, slots.count / slots.first.length);
  return sum + (weights.session * left) / slotsOfSession;
}
