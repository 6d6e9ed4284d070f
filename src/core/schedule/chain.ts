import type { Compiled } from './compile';
import { readyAt, type LagN } from './waits';
import { mayBeIn } from './place';
import { UNPLACED, type PlanState } from './state';

/** Why a work is not earlier than it is. */
export type Held = 'wait' | 'hours' | 'painter' | 'start';

export interface ChainLink {
  work: number;
  /** When what it waits for is ready, ms; the present for the first. */
  readyMs: number;
  held: Held;
}

/** The wait of `i` that ends last, and when. */
function lastWait(state: PlanState, i: number): { from: number; readyMs: number } | null {
  const { lags, wets } = state.of;
  let found: { from: number; readyMs: number } | null = null;
  const consider = (from: number, readyMs: number) => {
    if (!found || readyMs > found.readyMs) found = { from, readyMs };
  };
  for (const lag of lags[i]!)
    if (state.start[lag.from] !== UNPLACED) consider(lag.from, readyAt(lag, state.endMs(lag.from)));
  for (const wet of wets[i]!)
    if (wet.from >= 0 && state.start[wet.from] !== UNPLACED)
      consider(wet.from, state.endMs(wet.from));
  return found;
}

function heldBy(of: Compiled, i: number, at: number, readyMs: number): Held {
  const { slots, length } = of;
  let t = slots.from(readyMs);
  while (t < slots.count && (t + length[i]! > slots.end[slots.window[t]!]! || !mayBeIn(of, i, t)))
    t = slots.end[slots.window[t]!]!;
  if (t < at) return 'painter';
  return slots.start[at]! - readyMs > slots.ms ? 'hours' : 'wait';
}

/** The works that decide when a painting is done, the first to be done first. Empty when nothing is left to do. */
export function chainOf(state: PlanState, g: number): ChainLink[] {
  const { of } = state;
  const at = (end: LagN): number =>
    end.from < 0
      ? readyAt(end, of.problem.nowMs)
      : state.start[end.from] === UNPLACED
        ? of.horizonMs
        : readyAt(end, state.endMs(end.from));
  const last = of.goals[g]!.ends.reduce<LagN | null>(
    (latest, end) => (latest === null || at(end) > at(latest) ? end : latest),
    null,
  );
  const chain: ChainLink[] = [];
  let i = last ? last.from : -1;
  while (i >= 0 && state.start[i] !== UNPLACED) {
    const wait = lastWait(state, i);
    const released = of.release[i]!;
    const { slots } = of;
    const releaseMs =
      released < slots.count ? Math.min(slots.start[released]!, slots.start[state.start[i]!]!) : 0;
    const readyMs = wait && wait.readyMs >= releaseMs ? wait.readyMs : releaseMs;
    chain.push({
      work: i,
      readyMs,
      held:
        !wait && readyMs === slots.start[state.start[i]!]!
          ? 'start'
          : heldBy(of, i, state.start[i]!, readyMs),
    });
    i = wait ? wait.from : -1;
  }
  return chain.reverse();
}
