import { SEARCH, SEARCH_SHUT_SHARES } from '@/data/search';
import type { Compiled } from './compile';
import { UNPLACED, type PlanState } from './state';

/** From this many works on, moving single works is too dear to do to the end. */
export const LARGE = SEARCH.largeWorks;

/** Of a studio's size: too many works for one long search to find the best, and few enough for walks through the calendar. */
export const isStudio = ({ n }: Compiled): boolean => n > SEARCH.smallWorks && n <= LARGE;

/** The works that are torn down in a round, and where they stood. */
export class Part {
  readonly works: number[] = [];
  /** Their paintings. */
  readonly projects: number[] = [];
  private readonly start: Int32Array;
  private readonly missed: Uint8Array;
  private readonly has: Uint8Array;
  private readonly hasProject: Uint8Array;

  constructor(private readonly of: Compiled) {
    this.start = new Int32Array(of.n);
    this.missed = new Uint8Array(of.n);
    this.has = new Uint8Array(of.n);
    this.hasProject = new Uint8Array(of.goals.length);
  }

  clear(): void {
    for (const i of this.works) this.has[i] = 0;
    for (const g of this.projects) this.hasProject[g] = 0;
    this.works.length = 0;
    this.projects.length = 0;
  }

  /** A work, with everything that moves when it does. */
  addFrom(from: number): void {
    const { following, project } = this.of;
    if (this.has[from] === 1) return;
    for (const i of following[from]!) {
      if (this.has[i] === 1) continue;
      this.has[i] = 1;
      this.works.push(i);
      const g = project[i]!;
      if (g < 0 || this.hasProject[g] === 1) continue;
      this.hasProject[g] = 1;
      this.projects.push(g);
    }
  }

  /** Where a work stood before it was taken; UNPLACED where it had no place. */
  stood(i: number): number {
    return this.start[i]!;
  }

  take(state: PlanState): void {
    for (const i of this.works) {
      this.start[i] = state.start[i]!;
      this.missed[i] = state.wasMissed(i) ? 1 : 0;
    }
    for (const i of this.works) state.take(i);
  }

  /** All of it back where it stood. */
  putBack(state: PlanState): void {
    for (const i of this.works) state.take(i);
    for (const i of this.works)
      if (this.start[i] !== UNPLACED) state.put(i, this.start[i]!, this.missed[i] === 1);
  }

  /** What of J can change with it. */
  costIn(state: PlanState): number {
    let sum = state.otherCost();
    for (const g of this.projects) sum += state.goalCost(g);
    return sum;
  }
}

const pick = (random: () => number, n: number) => Math.min(n - 1, (random() * n) | 0);

/** Chooses a part of the plan to tear down, with everything that waits for it; a session that is to stay shut in `closed`. */
export function ruin(state: PlanState, random: () => number, closed: Uint8Array, part: Part): void {
  const { of } = state;
  part.clear();
  closed.fill(0);
  const kind = random();
  if (of.n <= LARGE && random() < (isStudio(of) ? SEARCH.ruinFlowStudio : SEARCH.ruinFlow)) {
    // Everything from a moment on: it flows anew.
    const t = random() < SEARCH.ruinFlowFromStart ? UNPLACED : state.start[pick(random, of.n)]!;
    for (let i = 0; i < of.n; i++) if (state.start[i]! >= t) part.addFrom(i);
  } else if (of.n <= SEARCH.wholeWorks && random() < SEARCH.ruinWhole) {
    // All of it: a small plan can be thought anew.
    for (let i = 0; i < of.n; i++) part.addFrom(i);
  } else if (kind < SEARCH.ruinWorks) {
    // A work or two and what follows from them.
    const count = 1 + pick(random, of.n > LARGE ? 2 : 3);
    for (let k = 0; k < count; k++) part.addFrom(pick(random, of.n));
  } else if (kind < SEARCH.ruinSession) {
    // A session: everything in it, and it stays shut.
    const w = of.slots.window[Math.max(0, state.start[pick(random, of.n)]!)]!;
    closed[w] = 1;
    for (let t = of.slots.first[w]!; t < of.slots.end[w]!; t++) {
      const i = state.owner[t]!;
      if (i >= 0) part.addFrom(i);
    }
    if (part.works.length > SEARCH.ruinMostWorks) part.clear();
  } else {
    // A painting or two, whole or from some work on.
    const count = 1 + pick(random, 2);
    for (let k = 0; k < count; k++) {
      const g = of.project[pick(random, of.n)]!;
      for (let i = 0; i < of.n; i++)
        if (
          of.project[i] === g &&
          (kind > SEARCH.ruinPaintingWhole || random() < SEARCH.ruinPaintingWork)
        )
          part.addFrom(i);
    }
  }
}

/** Of the windows that are not used some stay shut for a round. */
export function shutSome(state: PlanState, random: () => number, closed: Uint8Array): void {
  const share = SEARCH_SHUT_SHARES[pick(random, SEARCH_SHUT_SHARES.length)]!;
  if (share === 0) return;
  for (let w = 0; w < closed.length; w++)
    if (state.used[w] === 0 && random() < share) closed[w] = 1;
}
