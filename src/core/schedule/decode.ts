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
  const { blocks, blockOf, after, lags, wets } = state.of;
  const { waiting, start } = state;
  const kept = reserve(state, works);
  const built: number[] = [];
  for (const i of works) {
    const b = blockOf[i]!;
    if (waiting[b] !== -1) continue;
    waiting[b] = 0;
    built.push(b);
  }
  for (const b of built)
    for (const i of blocks[b]!) {
      for (const { from } of lags[i]!)
        if (start[from] === UNPLACED && blockOf[from] !== b) waiting[b]! += 1;
      for (const { from } of wets[i]!)
        if (from >= 0 && start[from] === UNPLACED && blockOf[from] !== b) waiting[b]! += 1;
    }
  const heap = new Urgent();
  const keyOf = (b: number) => urgency[blocks[b]![0]!]!;
  for (const b of built) if (waiting[b] === 0) heap.push(b, keyOf(b));
  for (let b = heap.pop(); b !== -1; b = heap.pop()) {
    if (kept) for (const i of blocks[b]!) kept.release(i);
    putBlock(state, blocks[b]!, policy);
    for (const i of blocks[b]!)
      for (const j of after[i]!) {
        const other = blockOf[j]!;
        if (other === b || waiting[other]! < 0) continue;
        waiting[other]! -= 1;
        if (waiting[other] === 0) heap.push(other, keyOf(other));
      }
  }
  for (const b of built) waiting[b] = -1;
}

/** Pinned places of works that wait for their turn, taken so that no other work gets them. */
function reserve(state: PlanState, works: number[]) {
  const { pin, length } = state.of;
  if (!works.some((i) => pin[i]! >= 0)) return null;
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

/** A binary heap of places by their keys. */
class Urgent {
  private readonly items: number[] = [];
  private readonly keys: number[] = [];

  push(item: number, key: number): void {
    let k = this.items.length;
    this.items.push(item);
    this.keys.push(key);
    while (k > 0) {
      const up = (k - 1) >> 1;
      if (this.keys[up]! <= key) break;
      this.items[k] = this.items[up]!;
      this.keys[k] = this.keys[up]!;
      k = up;
    }
    this.items[k] = item;
    this.keys[k] = key;
  }

  /** -1 when it is empty. */
  pop(): number {
    const top = this.items[0];
    if (top === undefined) return -1;
    const item = this.items.pop()!;
    const key = this.keys.pop()!;
    const size = this.items.length;
    if (size === 0) return top;
    let k = 0;
    for (;;) {
      let down = 2 * k + 1;
      if (down >= size) break;
      if (down + 1 < size && this.keys[down + 1]! < this.keys[down]!) down += 1;
      if (this.keys[down]! >= key) break;
      this.items[k] = this.items[down]!;
      this.keys[k] = this.keys[down]!;
      k = down;
    }
    this.items[k] = item;
    this.keys[k] = key;
    return top;
  }
}
