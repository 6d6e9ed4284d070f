import type { Compiled } from './compile';
import type { Front } from './front';
import { FREE } from './state';

/** By what the works of a session are chosen: the smallest sum of days first. */
export interface Mood {
  /** See `ForwardPolicy`. */
  bonus: number;
  fill: number;
  /** What counts of the days that must still follow a work. */
  tail: number;
  /** Days of urgency for a slot of work that the painting still wants. */
  load: number;
  /** By chance, for each painting. */
  offset: Float64Array;
}

/** What one window has to choose from, and what is chosen. */
export class SessionChoice {
  count = 0;
  readonly work: Int32Array;
  readonly ready: Int32Array;
  readonly key: Float64Array;
  /** Slots of work that are ready for each medium. */
  private readonly load: Int32Array;
  /** What a work is put off for its medium, days; the first is for works without one. */
  private readonly dearer: Float64Array;
  /** Works chosen, and their slots. */
  picks = 0;
  readonly pick: Int32Array;
  readonly at: Int32Array;

  constructor(private readonly of: Compiled) {
    const { n, mediums } = of;
    this.work = new Int32Array(n);
    this.ready = new Int32Array(n);
    this.key = new Float64Array(n);
    this.load = new Int32Array(mediums);
    this.dearer = new Float64Array(mediums + 1);
    this.pick = new Int32Array(n);
    this.at = new Int32Array(n);
  }

  /** The works that a plan has for a window. */
  look(front: Front, w: number): void {
    const { slots, length, medium, barred } = this.of;
    const end = slots.end[w]!;
    const room = front.state.free[w]!;
    this.count = 0;
    this.load.fill(0);
    for (let k = 0; k < front.count; k++) {
      const i = front.open[k]!;
      if (front.ready[k]! >= end || length[i]! > room || barred[i]?.[w] === 1) continue;
      this.work[this.count] = i;
      this.ready[this.count] = front.ready[k]!;
      this.count += 1;
      if (medium[i]! >= 0) this.load[medium[i]!]! += length[i]!;
    }
  }

  /** Some of them for the free slots of the window, by a mood. Returns a number that tells one choice from another. */
  choose({ state, load }: Front, w: number, mood: Mood, tails: Float64Array): number {
    const { slots, length, medium, mediums, project } = this.of;
    const { owner } = state;
    const { work, ready, key, dearer, count } = this;
    const first = slots.first[w]!;
    const end = slots.end[w]!;
    const room = state.free[w]!;
    for (let k = 0; k < count; k++) {
      const i = work[k]!;
      const g = project[i]!;
      key[k] = (g < 0 ? 0 : mood.load * load[g]! + mood.offset[g]!) - mood.tail * tails[i]!;
    }
    let begun = state.used[w]! > 0;
    for (let m = 0; m < mediums; m++)
      dearer[m + 1] = state.isOut(w, m)
        ? 0
        : (begun ? mood.bonus : 0) - mood.fill * Math.min(1, this.load[m]! / room);
    this.picks = 0;
    let told = 0;
    for (let t = first; t < end && this.picks < count; t++) {
      if (owner[t] !== FREE) continue;
      let best = -1;
      let bestKey = Infinity;
      let run = 1;
      while (t + run < end && owner[t + run] === FREE) run += 1;
      for (let k = 0; k < count; k++) {
        if (ready[k]! > t) continue;
        const i = work[k]!;
        if (length[i]! > run) continue;
        const its = key[k]! + dearer[medium[i]! + 1]!;
        if (its >= bestKey) continue;
        best = k;
        bestKey = its;
      }
      if (best < 0) continue;
      const i = work[best]!;
      // Taken: nothing is put off for longer.
      key[best] = Infinity;
      if (!begun) for (let m = 0; m < mediums; m++) dearer[m + 1]! += mood.bonus;
      begun = true;
      dearer[medium[i]! + 1] = 0;
      this.pick[this.picks] = i;
      this.at[this.picks] = t;
      this.picks += 1;
      // Two that are told alike though they are not cost one way of going on, no more.
      told = (Math.imul(told, 31) + i * 64 + 1 + (t - first)) | 0;
      t += length[i]! - 1;
    }
    return told;
  }

  /** The chosen works put where they were chosen for. */
  put(front: Front): void {
    for (let k = 0; k < this.picks; k++) front.state.put(this.pick[k]!, this.at[k]!);
    for (let k = 0; k < this.picks; k++) front.begun(this.pick[k]!);
  }
}
