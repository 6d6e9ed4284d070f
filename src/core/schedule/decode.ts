import { DAY_MS } from '../drying';
import type { Compiled } from './compile';
import { putBlock, type PlacePolicy } from './place';
import { FREE, RESERVED, UNPLACED, type PlanState } from './state';

/** Days from the start of each work to the end of its painting, at the least, were the painter always free. */
export function tailsOf({ n, lags, wets, goals, after, length, slots }: Compiled): Float64Array {
  const tails = new Float64Array(n);
  const days = (dose: number, ms: number) => dose + (ms * slots.ms) / DAY_MS;
  for (const goal of goals)
    for (const end of goal.ends)
      if (end.from >= 0)
        tails[end.from] = Math.max(tails[end.from]!, days(end.dose, length[end.from]!));
  const done = new Uint8Array(n);
  const visit = (i: number): number => {
    if (done[i] === 1) return tails[i]!;
    done[i] = 1;
    const own = days(0, length[i]!);
    for (const j of after[i]!) {
      const tail = visit(j);
      for (const lag of lags[j]!)
        if (lag.from === i) tails[i] = Math.max(tails[i]!, tail + own + lag.dose);
      if (wets[j]!.some((w) => w.from === i)) tails[i] = Math.max(tails[i]!, tail + own);
    }
    return tails[i]!;
  };
  for (let i = 0; i < n; i++) visit(i);
  return tails;
}

/**
 * Serial schedule generation: blocks of works one after the other, by urgency (the smallest first) among those
 * whose predecessors have their places, each at the place the policy chooses. Works that are placed already stay.
 * Pinned places are kept free for those they were pinned for.
 * Kolisch, European Journal of Operational Research 90 (1996), for the scheme; from memory.
 * @param works those without a place
 */
export function decode(
  state: PlanState,
  works: number[],
  urgency: Float64Array,
  policy: PlacePolicy,
): void {
  const { blocks, blockOf, before, then } = state.of;
  const { waiting, start, built, urgent } = state;
  const kept = reserve(state, works);
  built.length = 0;
  for (const i of works) {
    const b = blockOf[i]!;
    if (waiting[b] !== -1) continue;
    let waits = 0;
    for (const from of before[b]!) if (start[from] === UNPLACED) waits += 1;
    waiting[b] = waits;
    built.push(b);
  }
  for (const b of built) if (waiting[b] === 0) urgent.push(b, urgency[blocks[b]![0]!]!);
  for (let b = urgent.pop(); b !== -1; b = urgent.pop()) {
    if (kept) for (const i of blocks[b]!) kept.release(i);
    putBlock(state, blocks[b]!, policy);
    for (const other of then[b]!) {
      if (waiting[other]! < 0) continue;
      waiting[other]! -= 1;
      if (waiting[other] === 0) urgent.push(other, urgency[blocks[other]![0]!]!);
    }
  }
  for (const b of built) waiting[b] = -1;
}

/** Pinned places of works that wait for their turn, taken so that no other work gets them. */
export function reserve(state: PlanState, works: number[]) {
  const { pin, pinned, length } = state.of;
  if (!pinned || !works.some((i) => pin[i]! >= 0)) return null;
  state.noneReserved = false;
  const held = new Map<number, number[]>();
  for (const i of works) {
    const t = pin[i]!;
    if (t < 0) continue;
    const slots = Array.from({ length: length[i]! }, (_, k) => t + k);
    const free = slots.filter((k) => state.owner[k] === FREE);
    for (const k of free) state.owner[k] = RESERVED;
    held.set(i, free);
  }
  return {
    release(i: number): void {
      for (const k of held.get(i) ?? []) state.owner[k] = FREE;
      held.delete(i);
    },
  };
}
