import { putBlock, EARLIEST, readySlot } from './place';
import { gather, reserve } from './decode';
import { FREE, type PlanState } from './state';

/** How the works of a session are chosen as the calendar is walked. */
export interface ForwardPolicy {
  /** Days of urgency that staying with a medium on the palette is worth. */
  bonus: number;
  /** Days of urgency that a medium is worth, when one is to be put out, if its works would fill the session. */
  fill: number;
  /** A session is not begun for less than so many slots of work. */
  least: number;
}

/**
 * Parallel schedule generation: the calendar walked from front to back, and in each free slot the most urgent work begun
 * that is ready then, those whose medium is on the palette first by a bonus. Blocks that catch paint open, and pins, are
 * put as `decode` puts them, when their turn comes.
 * Kolisch (1996) for the two schemes; from memory.
 * @param works those without a place
 */
export function forward(
  state: PlanState,
  works: number[],
  urgency: Float64Array,
  { bonus, fill, least }: ForwardPolicy,
): void {
  const { blocks, blockOf, then, slots, length, medium, mediums, wets, pin, barred } = state.of;
  const { waiting, built, owner, free } = state;
  const kept = reserve(state, works);
  gather(state, works);
  const open: number[] = [];
  const ready: number[] = [];
  const load = new Int32Array(mediums);
  let soonest = slots.count;
  const done = (b: number) => {
    for (const other of then[b]!) {
      if (waiting[other]! < 0) continue;
      waiting[other]! -= 1;
      if (waiting[other] === 0) offer(other);
    }
  };
  const offer = (b: number) => {
    const block = blocks[b]!;
    const i = block[0]!;
    // It waits no more, and is not offered twice.
    waiting[b] = -1;
    if (block.length > 1 || wets[i]!.length > 0 || pin[i]! >= 0) {
      if (kept) for (const j of block) kept.release(j);
      putBlock(state, block, EARLIEST);
      done(b);
      return;
    }
    const at = readySlot(state, i);
    if (at >= slots.count) return done(b);
    open.push(i);
    ready.push(at);
    if (at < soonest) soonest = at;
  };
  for (const b of built) if (waiting[b] === 0) offer(b);
  for (let w = state.roomFrom(0); w < free.length && open.length > 0; w = state.roomFrom(w + 1)) {
    const end = slots.end[w]!;
    if (soonest >= end) continue;
    if (least > 0 && state.used[w] === 0) {
      let sum = 0;
      for (let k = 0; k < open.length; k++) if (ready[k]! < end) sum += length[open[k]!]!;
      if (sum < least) continue;
    }
    const room = free[w]!;
    if (fill > 0) {
      load.fill(0);
      for (let k = 0; k < open.length; k++)
        if (ready[k]! < end && medium[open[k]!]! >= 0)
          load[medium[open[k]!]!]! += length[open[k]!]!;
    }
    for (let t = slots.first[w]!; t < end; t++) {
      if (owner[t] !== FREE) continue;
      let best = -1;
      let bestKey = Infinity;
      for (let k = 0; k < open.length; k++) {
        if (ready[k]! > t) continue;
        const i = open[k]!;
        if (t + length[i]! > end || barred[i]?.[w] === 1) continue;
        let key = urgency[i]!;
        const m = medium[i]!;
        if (m >= 0 && !state.isOut(w, m)) {
          if (state.used[w]! > 0) key += bonus;
          if (fill > 0) key -= fill * Math.min(1, load[m]! / room);
        }
        if (key >= bestKey) continue;
        let fits = true;
        for (let s = t + 1; s < t + length[i]!; s++) if (owner[s] !== FREE) fits = false;
        if (!fits) continue;
        best = k;
        bestKey = key;
      }
      if (best < 0) continue;
      const i = open[best]!;
      open[best] = open[open.length - 1]!;
      ready[best] = ready[ready.length - 1]!;
      open.length -= 1;
      ready.length -= 1;
      soonest = slots.count;
      for (const at of ready) if (at < soonest) soonest = at;
      state.put(i, t);
      t += length[i]! - 1;
      done(blockOf[i]!);
    }
  }
  for (const b of built) waiting[b] = -1;
}
