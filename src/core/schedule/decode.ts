import { putBlock, type PlacePolicy } from './place';
import { FREE, RESERVED, UNPLACED, type PlanState } from './state';

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
  const { blocks, then } = state.of;
  const { waiting, built, urgent } = state;
  const kept = reserve(state, works);
  gather(state, works);
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

/** The blocks of works without a place, in `built`, and in `waiting` how many works outside itself each waits for. */
export function gather({ of, start, waiting, built }: PlanState, works: number[]): void {
  built.length = 0;
  for (const i of works) {
    const b = of.blockOf[i]!;
    if (waiting[b] !== -1) continue;
    let waits = 0;
    for (const from of of.before[b]!) if (start[from] === UNPLACED) waits += 1;
    waiting[b] = waits;
    built.push(b);
  }
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
