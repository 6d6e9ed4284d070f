import { NO_PIN } from './compile';
import { closesAt, readyAt } from './waits';
import { caughtOpen, firstFit, readySlot } from './place';
import { UNPLACED, type PlanState } from './state';

/** Whether everything that waits for a work still holds with it at `t`. */
export function followersHold(state: PlanState, i: number, t: number): boolean {
  const { after, lags, wets, slots, length } = state.of;
  const start = slots.start[t]!;
  const end = start + length[i]! * slots.ms;
  return after[i]!.every((j) => {
    const at = state.start[j]!;
    if (at === UNPLACED) return true;
    const begins = slots.start[at]!;
    const waits = lags[j]!.every((lag) => lag.from !== i || readyAt(lag, end) <= begins);
    const ends = begins + length[j]! * slots.ms;
    const open = wets[j]!.every(
      (wet) =>
        wet.from !== i ||
        (end <= begins &&
          ends <= closesAt(wet, start) &&
          (!wet.sameSitting || slots.window[at] === slots.window[t])),
    );
    return waits && open;
  });
}

const firstFollower = (state: PlanState, i: number): number =>
  state.of.after[i]!.reduce((first, j) => {
    const at = state.start[j]!;
    return at === UNPLACED ? first : Math.min(first, at);
  }, Infinity);

/**
 * Single works moved to where J is less, with all others where they are, until none is or `most` have been looked at.
 * What building anew from the front does not find: a work that waits for a session held anyway.
 */
export function polish(state: PlanState, most = Infinity): void {
  const { n, slots, pin, project } = state.of;
  let looked = 0;
  for (let moved = true; moved;) {
    moved = false;
    for (let i = n - 1; i >= 0; i--) {
      const from = state.start[i]!;
      // A missed wet meeting is mended by building anew, not here.
      if (from === UNPLACED || pin[i] !== NO_PIN || state.wasMissed(i)) continue;
      if (looked++ >= most) return;
      const g = project[i]!;
      const costNow = () => state.otherCost() + (g >= 0 ? state.goalCost(g) : 0);
      const was = costNow();
      state.take(i);
      let best = was;
      let place = from;
      const limit = firstFollower(state, i);
      for (let t = readySlot(state, i); ;) {
        t = firstFit(state, t, i, null);
        if (t === UNPLACED || t >= limit) break;
        if (caughtOpen(state, i, t) && followersHold(state, i, t)) {
          state.put(i, t);
          const cost = costNow();
          state.take(i);
          if (cost < best - 1e-9) {
            best = cost;
            place = t;
          }
        }
        t = slots.end[slots.window[t]!]!;
      }
      state.put(i, place);
      if (place !== from) moved = true;
    }
  }
}
