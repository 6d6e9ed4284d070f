import { SEARCH } from '@/data/search';
import { DAY_MS } from '../drying';
import { NO_PIN, type Compiled } from './compile';
import { doneAfter, readyAt } from './waits';
import { PENALTY, type PlanWeights } from './problem';
import { Urgent } from './urgent';

export const UNPLACED = -1;
/** Owners of a slot that are no work: nobody, and a work that was pinned there and waits for its turn. */
export const FREE = -1;
export const RESERVED = -2;

/** A buffer with room for parts of some bytes, and where each begins: at whole words. */
export function layOut(bytes: number[]): { buffer: ArrayBuffer; at: number[] } {
  let sum = 0;
  const at = bytes.map((size) => {
    const begins = sum;
    sum += (size + 7) & ~7;
    return begins;
  });
  return { buffer: new ArrayBuffer(sum), at };
}

/**
 * A plan while it is searched: where every work stands, and what that costs. Works are put and taken one by one;
 * the cost of sessions and mediums is kept up with each, that of the goals is asked for.
 */
export class PlanState {
  readonly start: Int32Array;
  /** The work in each slot, or FREE, or RESERVED. */
  readonly owner: Int32Array;
  /** Free and used slots of each window. */
  readonly free: Int32Array;
  readonly used: Int32Array;
  private readonly mediumUses: Uint16Array;
  private readonly mediumsIn: Uint16Array;
  sessions = 0;
  mediumChanges = 0;
  unplaced: number;
  brokenPins = 0;
  missedWets = 0;
  /** No slot is kept for a pinned work that waits for its turn. */
  noneReserved = true;
  private readonly missed: Uint8Array;
  /** A bit for each window that has a free slot. */
  private readonly roomy: Int32Array;
  /** All of these lie in one buffer, so that a plan is copied at once. */
  private readonly room: Int32Array;
  /** Room for who builds: works that each block still waits for; -1 for blocks that are not built. */
  readonly waiting: Int32Array;
  /** Its blocks, and those among them that may be placed next. */
  readonly built: number[] = [];
  readonly urgent = new Urgent();

  constructor(
    readonly of: Compiled,
    readonly weights: PlanWeights,
  ) {
    const { slots, n, mediums } = of;
    const windows = slots.first.length;
    const uses = windows * Math.max(1, mediums);
    const words = (windows + 31) >> 5;
    const sizes = [n, slots.count, windows, windows, words].map((length) => length * 4);
    sizes.push(uses * 2, windows * 2, n);
    const { buffer, at } = layOut(sizes);
    this.room = new Int32Array(buffer);
    this.start = new Int32Array(buffer, at[0], n).fill(UNPLACED);
    this.owner = new Int32Array(buffer, at[1], slots.count).fill(FREE);
    this.free = new Int32Array(buffer, at[2], windows);
    this.used = new Int32Array(buffer, at[3], windows);
    this.roomy = new Int32Array(buffer, at[4], words);
    this.mediumUses = new Uint16Array(buffer, at[5], uses);
    this.mediumsIn = new Uint16Array(buffer, at[6], windows);
    this.missed = new Uint8Array(buffer, at[7], n);
    slots.first.forEach((first, w) => (this.free[w] = slots.end[w]! - first));
    this.unplaced = n;
    for (let w = 0; w < windows; w++) this.markRoom(w);
    this.waiting = new Int32Array(of.blocks.length).fill(-1);
    // A pin counts as broken until its work stands there.
    this.brokenPins = of.pin.filter((p) => p !== NO_PIN).length;
  }

  private markRoom(w: number): void {
    if (this.free[w]! > 0) this.roomy[w >> 5]! |= 1 << (w & 31);
    else this.roomy[w >> 5]! &= ~(1 << (w & 31));
  }

  /** The first window at or after one that has a free slot; their number where none has. */
  roomFrom(w: number): number {
    const { roomy } = this;
    let k = w >> 5;
    if (k >= roomy.length) return this.free.length;
    let bits = roomy[k]! & (-1 << (w & 31));
    while (bits === 0) {
      k += 1;
      if (k >= roomy.length) return this.free.length;
      bits = roomy[k]!;
    }
    return (k << 5) + 31 - Math.clz32(bits & -bits);
  }

  /** As nothing were planned yet. */
  clear(): void {
    for (let i = 0; i < this.of.n; i++) this.take(i);
  }

  /** As another plan of the same problem stands. */
  copy(other: PlanState): void {
    this.room.set(other.room);
    this.sessions = other.sessions;
    this.mediumChanges = other.mediumChanges;
    this.unplaced = other.unplaced;
    this.brokenPins = other.brokenPins;
    this.missedWets = other.missedWets;
    this.noneReserved = other.noneReserved;
  }

  endMs(i: number): number {
    const { slots, length } = this.of;
    return slots.start[this.start[i]!]! + length[i]! * slots.ms;
  }

  /** The work was laid dry though it was meant into the wet. */
  wasMissed = (i: number): boolean => this.missed[i] === 1;

  put(i: number, t: number, missedWet = false): void {
    const { slots, length, medium, mediums, pin } = this.of;
    const w = slots.window[t]!;
    const end = t + length[i]!;
    for (let k = t; k < end; k++) this.owner[k] = i;
    this.start[i] = t;
    this.free[w]! -= length[i]!;
    if (this.free[w] === 0) this.markRoom(w);
    if (this.used[w] === 0) this.sessions += 1;
    this.used[w]! += length[i]!;
    this.unplaced -= 1;
    if (pin[i] === t) this.brokenPins -= 1;
    if (missedWet) {
      this.missed[i] = 1;
      this.missedWets += 1;
    }
    const m = medium[i]!;
    if (m < 0) return;
    this.mediumUses[w * mediums + m]! += 1;
    if (this.mediumUses[w * mediums + m] === 1) {
      if (this.mediumsIn[w]! > 0) this.mediumChanges += 1;
      this.mediumsIn[w]! += 1;
    }
  }

  take(i: number): void {
    const { slots, length, medium, mediums, pin } = this.of;
    const t = this.start[i]!;
    if (t === UNPLACED) return;
    const w = slots.window[t]!;
    const end = t + length[i]!;
    for (let k = t; k < end; k++) this.owner[k] = FREE;
    this.start[i] = UNPLACED;
    if (this.free[w] === 0) {
      this.free[w] = length[i]!;
      this.markRoom(w);
    } else this.free[w]! += length[i]!;
    this.used[w]! -= length[i]!;
    if (this.used[w] === 0) this.sessions -= 1;
    this.unplaced += 1;
    if (pin[i] === t) this.brokenPins += 1;
    if (this.missed[i] === 1) {
      this.missed[i] = 0;
      this.missedWets -= 1;
    }
    const m = medium[i]!;
    if (m < 0) return;
    this.mediumUses[w * mediums + m]! -= 1;
    if (this.mediumUses[w * mediums + m] === 0) {
      this.mediumsIn[w]! -= 1;
      if (this.mediumsIn[w]! > 0) this.mediumChanges -= 1;
    }
  }

  /** Whether a medium is on the palette in a window. */
  isOut(w: number, m: number): boolean {
    return this.mediumUses[w * this.of.mediums + m]! > 0;
  }

  hasMedium(w: number, m: number): boolean {
    return m < 0 || this.mediumsIn[w] === 0 || this.mediumUses[w * this.of.mediums + m]! > 0;
  }

  /** When a painting is done, ms; the end of the calendar while a last work of it has no place. */
  finishMs(g: number): number {
    const { goals, horizonMs, problem } = this.of;
    let finish = problem.nowMs;
    for (const end of goals[g]!.ends) {
      const begun = end.from < 0 ? UNPLACED : this.start[end.from]!;
      const at =
        end.from < 0
          ? readyAt(end, problem.nowMs)
          : begun === UNPLACED
            ? horizonMs
            : doneAfter(this.of, end, begun);
      if (at > finish) finish = at;
    }
    // What never dries is as late as the calendar is long.
    return finish === Infinity ? horizonMs + SEARCH.neverDays * DAY_MS : finish;
  }

  goalCost(g: number): number {
    const { dueMs, weight } = this.of.goals[g]!;
    const { nowMs } = this.of.problem;
    const finish = this.finishMs(g);
    const late = dueMs === null ? 0 : Math.max(0, finish - dueMs);
    return (
      (this.weights.lateDay * weight * late + this.weights.finishDay * (finish - nowMs)) / DAY_MS
    );
  }

  /** What cannot be had: works without a place, pins that are not kept, open paint that is missed. */
  private penalties(): number {
    return PENALTY * (this.unplaced + this.brokenPins + this.missedWets);
  }

  /** J of what can be had. */
  costOfPlaced(): number {
    return this.cost() - this.penalties();
  }

  /** Everything but the goals. */
  otherCost(): number {
    return (
      this.weights.session * this.sessions +
      this.weights.mediumChange * this.mediumChanges +
      this.penalties()
    );
  }

  /** J. */
  cost(): number {
    let sum = this.otherCost();
    for (let g = 0; g < this.of.goals.length; g++) sum += this.goalCost(g);
    return sum;
  }
}
