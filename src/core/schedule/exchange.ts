import { NO_PIN } from './compile';
import { caughtOpen, mayBeIn, readySlot } from './place';
import { followersHold } from './polish';
import { UNPLACED, type PlanState } from './state';

/**
 * Works of the same length that change places, tried at random and kept by the rule of simulated annealing. In a
 * full calendar nothing can be moved alone; this is what gathers the works of one medium.
 * @returns the change of J
 */
export function exchange(
  state: PlanState,
  random: () => number,
  heat: number,
  tries: number,
): number {
  const { n, length, pin, project, slots, wets } = state.of;
  let total = 0;
  for (let k = 0; k < tries; k++) {
    const i = (random() * n) | 0;
    const t = state.start[i]!;
    if (t === UNPLACED || pin[i] !== NO_PIN || wets[i]!.length > 0) continue;
    const from = readySlot(state, i);
    const limit = firstFollower(state, i);
    const u0 = from + ((random() * (Math.min(limit, t + 300) - from)) | 0);
    const j = u0 < slots.count ? state.owner[u0]! : -1;
    if (j < 0 || j === i || length[j] !== length[i] || pin[j] !== NO_PIN) continue;
    const u = state.start[j]!;
    if (u < from || slots.window[u] === slots.window[t] || wets[j]!.length > 0) continue;
    if (!mayBeIn(state.of, i, u) || !mayBeIn(state.of, j, t)) continue;
    const gi = project[i]!;
    const gj = project[j]!;
    const costOf = () =>
      state.otherCost() + state.goalCost(gi) + (gj === gi ? 0 : state.goalCost(gj));
    const was = costOf();
    state.take(i);
    state.take(j);
    let change = Infinity;
    if (readySlot(state, i) <= u && readySlot(state, j) <= t) {
      state.put(i, u);
      state.put(j, t);
      if (
        followersHold(state, i, u) &&
        followersHold(state, j, t) &&
        caughtOpen(state, i, u) &&
        caughtOpen(state, j, t)
      )
        change = costOf() - was;
      if (change <= 0 || random() < Math.exp(-change / Math.max(heat, 1e-9))) {
        total += change;
        continue;
      }
      state.take(i);
      state.take(j);
    }
    state.put(i, t);
    state.put(j, u);
  }
  return total;
}

function firstFollower(state: PlanState, i: number): number {
  let first = state.of.slots.count;
  for (const j of state.of.after[i]!) {
    const at = state.start[j]!;
    if (at !== UNPLACED && at < first) first = at;
  }
  return first;
}
