import { all, type Found } from './anneal';
import type { Compiled } from './compile';
import { reserve } from './decode';
import { EARLIEST, putBlock, readySlot } from './place';
import type { PlanWeights } from './problem';
import { FREE, layOut, PlanState, RESERVED, UNPLACED } from './state';

/** A plan as far as the calendar has been walked. */
export class Front {
  readonly state: PlanState;
  /** Works each block still waits for; -1 once it has its place. */
  readonly waits: Int32Array;
  /** Works that may be begun, and the slot from which on. */
  readonly open: Int32Array;
  readonly ready: Int32Array;
  count = 0;
  /** Something may be begun that could not before. */
  offered = false;
  /** Slots of work that each painting still wants. */
  readonly load: Int32Array;
  /** When each painting is done, ms, once all of it has its place. */
  readonly done: Float64Array;
  /** Works for which the calendar has no place left. */
  lost = 0;
  value = 0;

  /** All of these lie in one buffer, so that it is copied at once. */
  private readonly room: Int32Array;

  constructor(of: Compiled, weights: PlanWeights) {
    const { n, blocks, goals } = of;
    this.state = new PlanState(of, weights);
    const { buffer, at } = layOut([
      goals.length * 8,
      ...[blocks.length, n, n, goals.length].map((k) => k * 4),
    ]);
    this.room = new Int32Array(buffer);
    this.done = new Float64Array(buffer, at[0], goals.length);
    this.waits = new Int32Array(buffer, at[1], blocks.length);
    this.open = new Int32Array(buffer, at[2], n);
    this.ready = new Int32Array(buffer, at[3], n);
    this.load = new Int32Array(buffer, at[4], goals.length);
  }

  copy(other: Front): void {
    this.state.copy(other.state);
    this.room.set(other.room);
    this.count = other.count;
    this.offered = false;
    this.lost = other.lost;
    this.value = other.value;
  }

  /** A block whose predecessors have their places: to be begun, or put at once where it is more than one work. */
  offer(b: number): void {
    const { of } = this.state;
    const block = of.blocks[b]!;
    const i = block[0]!;
    this.waits[b] = -1;
    if (block.length > 1 || of.wets[i]!.length > 0 || of.pin[i]! >= 0) {
      for (const j of block) this.release(j);
      putBlock(this.state, block, EARLIEST);
      for (const j of block) this.gone(j);
      this.follow(b);
      return;
    }
    const at = readySlot(this.state, i);
    if (at >= of.slots.count) {
      this.gone(i);
      return this.follow(b);
    }
    this.open[this.count] = i;
    this.ready[this.count] = at;
    this.count += 1;
    this.offered = true;
  }

  /** The slots that were kept free for a pinned work. */
  private release(i: number): void {
    const { pin, length } = this.state.of;
    if (pin[i]! < 0) return;
    for (let t = pin[i]!; t < pin[i]! + length[i]!; t++)
      if (this.state.owner[t] === RESERVED) this.state.owner[t] = FREE;
  }

  /** A work has its place, or there is none for it. */
  gone(i: number): void {
    if (this.state.start[i] === UNPLACED) this.lost += 1;
    const g = this.state.of.project[i]!;
    if (g < 0) return;
    this.load[g]! -= this.state.of.length[i]!;
    if (this.load[g] === 0) this.done[g] = this.state.finishMs(g);
  }

  /** A work that was open has its place. */
  begun(i: number): void {
    let k = 0;
    while (this.open[k] !== i) k += 1;
    this.count -= 1;
    this.open[k] = this.open[this.count]!;
    this.ready[k] = this.ready[this.count]!;
    this.gone(i);
    this.follow(this.state.of.blockOf[i]!);
  }

  follow(b: number): void {
    for (const other of this.state.of.then[b]!) {
      this.waits[other]! -= 1;
      if (this.waits[other] === 0) this.offer(other);
    }
  }
}

/** Nothing planned yet, or a plan as it stands up to a window. */
export function frontOf(
  of: Compiled,
  weights: PlanWeights,
  from: { plan: Found; window: number } | null,
): Front {
  const { blocks, before, length, project, goals, slots } = of;
  const front = new Front(of, weights);
  const { state, waits, load, done } = front;
  reserve(state, all(of));
  for (let i = 0; i < of.n; i++) if (project[i]! >= 0) load[project[i]!]! += length[i]!;
  if (from) {
    const { plan, window } = from;
    const isMissed = new Set(plan.missed);
    // What waits for something that is walked again is walked again too, wherever it stood.
    const moves = new Uint8Array(of.n);
    for (let i = 0; i < of.n; i++) {
      const t = plan.start[i]!;
      if (t !== UNPLACED && slots.window[t]! < window) continue;
      for (const j of of.following[i]!) moves[j] = 1;
    }
    blocks.forEach((block, b) => {
      if (moves[block[0]!] === 1) return;
      for (const i of block) state.put(i, plan.start[i]!, isMissed.has(i));
      waits[b] = -1;
    });
  }
  goals.forEach((_, g) => (done[g] = load[g] === 0 ? state.finishMs(g) : 0));
  blocks.forEach((block, b) => {
    if (waits[b] === -1) for (const i of block) front.gone(i);
    else waits[b] = before[b]!.reduce((sum, i) => sum + (state.start[i] === UNPLACED ? 1 : 0), 0);
  });
  const begin = blocks.flatMap((_, b) => (waits[b] === 0 ? [b] : []));
  for (const b of begin) front.offer(b);
  return front;
}
