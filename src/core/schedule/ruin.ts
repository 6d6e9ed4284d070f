import { SEARCH, SEARCH_SHUT_SHARES } from '@/data/search';
import type { Compiled } from './compile';
import { UNPLACED, type PlanState } from './state';

/** From this many works on, moving single works is too dear to do to the end. */
export const LARGE = SEARCH.largeWorks;

/** A part of the plan to take out, with everything that waits for it; marks windows that may stay shut in `closed`. */
export function ruin(state: PlanState, random: () => number, closed: Uint8Array): number[] {
  const { of } = state;
  const out = new Set<number>();
  closed.fill(0);
  const pick = (n: number) => Math.min(n - 1, (random() * n) | 0);
  const kind = random();
  if (of.n <= LARGE && random() < SEARCH.ruinFlow) {
    // Everything from a moment on: it flows anew.
    const t = random() < SEARCH.ruinFlowFromStart ? UNPLACED : state.start[pick(of.n)]!;
    for (let i = 0; i < of.n; i++) if (state.start[i]! >= t) withFollowers(of, i, out);
  } else if (of.n <= SEARCH.wholeWorks && random() < SEARCH.ruinWhole) {
    // All of it: a small plan can be thought anew.
    for (let i = 0; i < of.n; i++) out.add(i);
  } else if (kind < SEARCH.ruinWorks) {
    // A work or two and what follows from them.
    const count = 1 + pick(of.n > LARGE ? 2 : 3);
    for (let k = 0; k < count; k++) withFollowers(of, pick(of.n), out);
  } else if (kind < SEARCH.ruinSession) {
    // A session: everything in it, and it stays shut.
    const w = of.slots.window[Math.max(0, state.start[pick(of.n)]!)]!;
    closed[w] = 1;
    for (let i = 0; i < of.n; i++)
      if (state.start[i]! !== UNPLACED && of.slots.window[state.start[i]!] === w)
        withFollowers(of, i, out);
    if (out.size > SEARCH.ruinMostWorks) out.clear();
  } else {
    // A painting or two, whole or from some work on.
    const count = 1 + pick(2);
    for (let k = 0; k < count; k++) {
      const g = of.project[pick(of.n)]!;
      for (let i = 0; i < of.n; i++)
        if (
          of.project[i] === g &&
          (kind > SEARCH.ruinPaintingWhole || random() < SEARCH.ruinPaintingWork)
        )
          withFollowers(of, i, out);
    }
  }

  const shut = SEARCH_SHUT_SHARES[pick(SEARCH_SHUT_SHARES.length)]!;
  for (let w = 0; w < closed.length; w++) if (state.used[w] === 0 && random() < shut) closed[w] = 1;
  return [...out];
}

function withFollowers(of: Compiled, from: number, out: Set<number>): void {
  const stack = [...of.blocks[of.blockOf[from]!]!];
  while (stack.length > 0) {
    const i = stack.pop()!;
    if (out.has(i)) continue;
    out.add(i);
    for (const j of of.after[i]!) if (!out.has(j)) stack.push(...of.blocks[of.blockOf[j]!]!);
  }
}
