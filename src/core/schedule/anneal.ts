import { SEARCH, SEARCH_NOISE_DAYS } from '@/data/search';
import type { Compiled } from './compile';
import { decode } from './decode';
import { exchange } from './exchange';
import { polish } from './polish';
import { LARGE, ruin } from './ruin';
import { UNPLACED, type PlanState } from './state';

/** Every work, by its place. */
export const all = ({ n }: Compiled): number[] => Array.from({ length: n }, (_, i) => i);

/** The best that a search came by. */
export interface Found {
  cost: number;
  start: Int32Array;
  missed: number[];
}

/**
 * Large-neighbourhood search from a plan: take a part of it out (the rest of a painting or two, a session and what
 * follows from it, a stretch of the calendar), build it anew at random, and keep it by the rule of simulated annealing.
 * Shaw (1998) and Pisinger & Ropke (2010) for the scheme; from memory.
 * @param asked told how many rounds are done; true ends it
 */
export function anneal(
  state: PlanState,
  { slack, tails }: { slack: Float64Array; tails: Float64Array },
  random: () => number,
  rounds: number,
  asked: (done: number) => boolean,
): Found {
  const { of } = state;
  const largest = of.n > LARGE;
  if (!largest) polish(state);
  let current = state.cost();
  const missedOf = () => all(of).filter(state.wasMissed);
  const best: Found = { cost: current, start: state.start.slice(), missed: missedOf() };
  const closed = new Uint8Array(of.slots.first.length);
  const warmest = largest
    ? SEARCH.warmLarge
    : Math.max(SEARCH.warmLeast, SEARCH.warmShare * Math.min(current, SEARCH.warmMostCost));
  const keep = () => {
    if (current >= best.cost - 1e-9) return;
    best.cost = current;
    best.start = state.start.slice();
    best.missed = missedOf();
  };
  for (let done = 0; done < rounds; done++) {
    if (done % SEARCH.askEvery === 0 && asked(done)) break;
    // Small problems are heated anew some times: cheaper than one long search, and it leaves corners it got stuck in.
    const cycle = of.n <= SEARCH.smallWorks ? Math.min(SEARCH.cycle, rounds) : rounds;
    const heat = warmest * (1 - (done % cycle) / cycle) ** 2;
    if (largest && done % SEARCH.ruinEvery !== 0) {
      current += exchange(state, random, heat, SEARCH.exchanges);
      keep();
      continue;
    }
    const out = ruin(state, random, closed);
    if (out.length === 0) continue;
    const before = out.map((i) => ({ i, t: state.start[i]!, missed: state.wasMissed(i) }));
    const projects = [...new Set(out.map((i) => of.project[i]!))].filter((g) => g >= 0);
    const costOf = () => projects.reduce((sum, g) => sum + state.goalCost(g), state.otherCost());
    const was = costOf();
    for (const i of out) state.take(i);
    const noise = SEARCH_NOISE_DAYS[(random() * SEARCH_NOISE_DAYS.length) | 0]!;
    const ranks = random() < SEARCH.rankPaintings ? projects.map(() => random()) : null;
    const urgency = slack.slice();
    for (const i of out)
      urgency[i] =
        (ranks ? 1e4 * ranks[projects.indexOf(of.project[i]!)]! - tails[i]! : slack[i]!) +
        noise * random();
    decode(state, out, urgency, {
      random,
      join: random() < SEARCH.joinNever ? 0 : random(),
      passMedium: random() < SEARCH.passMediumNever ? 0 : random(),
      skip: random() < SEARCH.skipNever ? 0 : SEARCH.skipMost * random(),
      closed: random() < SEARCH.keepShut ? closed : null,
    });
    const change = costOf() - was;
    if (change <= 0 || random() < Math.exp(-change / Math.max(heat, 1e-9))) {
      current += change;
      keep();
    } else {
      for (const i of out) state.take(i);
      for (const { i, t, missed } of before) if (t !== UNPLACED) state.put(i, t, missed);
    }
  }
  return best;
}
