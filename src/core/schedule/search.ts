import { SEARCH, SEARCH_NOISE_DAYS } from '@/data/search';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { DAY_MS } from '../drying';
import type { Compiled } from './compile';
import { decode, tailsOf } from './decode';
import { EARLIEST } from './place';
import { exchange } from './exchange';
import { searchOrder } from './order-search';
import { polish } from './polish';
import { LARGE, ruin } from './ruin';
import { PlanState, UNPLACED } from './state';
import type { PlanWeights } from './problem';

export interface SearchOptions {
  weights: PlanWeights;
  seed: number;
  /** Rounds of the search; the same number gives the same plan. Absent: by the size of the problem. */
  rounds?: number;
  /** Where each work stood in the last plan, ms; the search begins there. */
  warm?: Map<string, number>;
  /** Asked now and then; true ends the search with the best so far. */
  stop?(done: number, rounds: number): boolean;
}

export interface SearchResult {
  state: PlanState;
  rounds: number;
  stopped: boolean;
  /** J of the first plan, before the search. */
  firstCost: number;
}

/** Rounds that settle a problem of n works: small ones are cheap, large ones have a second or so. */
export const usualRounds = (n: number): number =>
  n <= SEARCH.smallWorks
    ? SEARCH.smallCycles * SEARCH.cycle
    : Math.round(
        Math.min(SEARCH.mostRounds, Math.max(SEARCH.fewestRounds, SEARCH.roundsTimesWorks / n)),
      );

const uniform = (seed: number): (() => number) => {
  const rng = xoroshiro128plus(seed);
  return () => (rng.next() >>> 0) / 4294967296;
};

/** Urgency by slack: the date (or a far one) less what must still follow. */
function bySlack({ n, project, goals, problem }: Compiled, tails: Float64Array): Float64Array {
  return Float64Array.from({ length: n }, (_, i) => {
    const due = goals[project[i]!]?.dueMs ?? null;
    const days = due === null ? SEARCH.undatedDays : (due - problem.nowMs) / DAY_MS;
    return days - tails[i]!;
  });
}

/** Urgency by painting: one after the other in an order, within each by what must still follow. */
function byProject({ n, project }: Compiled, tails: Float64Array, rank: number[]): Float64Array {
  return Float64Array.from(
    { length: n },
    (_, i) => (rank[project[i]!] ?? 0) * SEARCH.paintingsApart - tails[i]!,
  );
}

function loads({ n, project, goals, length }: Compiled): number[] {
  const out = goals.map(() => 0);
  for (let i = 0; i < n; i++) if (project[i]! >= 0) out[project[i]!]! += length[i]!;
  return out;
}

/** Orders of the paintings worth beginning with: least work first, and dated first by their dates. */
function ranksOf(of: Compiled): number[][] {
  const load = loads(of);
  const rank = (key: (g: number) => number): number[] => {
    const order = load.map((_, g) => g).sort((a, b) => key(a) - key(b));
    const out: number[] = [];
    order.forEach((g, k) => (out[g] = k));
    return out;
  };
  return [
    rank((g) => load[g]!),
    rank((g) => (of.goals[g]!.dueMs === null ? SEARCH.afterAll + load[g]! : of.goals[g]!.dueMs!)),
  ];
}

/**
 * The last plan, as far as it still holds: works in the order they stood, each exactly where it was when that is
 * still allowed. So taking work out, or time, never moves what it does not touch.
 */
function warmStart(state: PlanState, warm: Map<string, number>, urgency: Float64Array): void {
  const { of } = state;
  const order = Float64Array.from({ length: of.n }, (_, i) => {
    const at = warm.get(of.problem.works[i]!.id);
    return at === undefined ? SEARCH.afterAll + urgency[i]! : at;
  });
  decode(state, all(of), order, {
    ...EARLIEST,
    wanted: (i) => {
      const at = warm.get(of.problem.works[i]!.id);
      return at === undefined ? UNPLACED : of.slots.from(at);
    },
  });
}

const all = ({ n }: Compiled): number[] => Array.from({ length: n }, (_, i) => i);

/** A first plan: the best of a few rules. */
export function firstPlan(
  of: Compiled,
  options: Pick<SearchOptions, 'weights' | 'warm'>,
): PlanState {
  const tails = tailsOf(of);
  const candidates: PlanState[] = [];
  const begin = () => new PlanState(of, options.weights);
  if (options.warm && options.warm.size > 0) {
    const state = begin();
    warmStart(state, options.warm, bySlack(of, tails));
    candidates.push(state);
  }
  const urgencies = [bySlack(of, tails), ...ranksOf(of).map((rank) => byProject(of, tails, rank))];
  for (const urgency of urgencies)
    for (const join of [0, 1]) {
      const state = begin();
      decode(state, all(of), urgency, { ...EARLIEST, join });
      candidates.push(state);
    }
  return candidates.reduce((best, s) => (s.cost() < best.cost() ? s : best));
}

/** The best that a search came by. */
interface Found {
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
function anneal(
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

const stateOf = (of: Compiled, weights: PlanWeights, { start, missed }: Found): PlanState => {
  const state = new PlanState(of, weights);
  const isMissed = new Set(missed);
  start.forEach((t, i) => {
    if (t !== UNPLACED) state.put(i, t, isMissed.has(i));
  });
  return state;
};

/**
 * The best plan found: a first plan by rules or the last one, a search over the order of the paintings, and then parts
 * built anew. Problems of a studio's size are begun several times, each from an order of its own, for where a search
 * ends hangs on who goes first; the rest of the rounds goes to the best of them.
 */
export function search(of: Compiled, options: SearchOptions): SearchResult {
  const { weights, seed, stop } = options;
  const first = firstPlan(of, options);
  const firstCost = first.cost();
  const rounds = options.rounds ?? usualRounds(of.n);
  if (of.n === 0) return { state: first, rounds: 0, stopped: false, firstCost };
  const random = uniform(seed);
  const tails = tailsOf(of);
  const urgency = { slack: bySlack(of, tails), tails };
  const ranks = ranksOf(of);
  // A large plan that only has to be mended has no time for orders.
  const mends = of.n > LARGE && (options.warm?.size ?? 0) > 0;
  const looks = mends
    ? 0
    : Math.round(Math.min(SEARCH.orderLooks, SEARCH.orderLooksTimesWorks / of.n));
  const several = of.n > SEARCH.smallWorks && of.n <= LARGE ? SEARCH.starts : 1;
  let done = 0;
  let stopped = false;
  let best: Found | null = null;
  const share = rounds / (several === 1 ? 1 : several + 1);
  for (let k = 0; k < several && !stopped; k++) {
    const ordered = searchOrder(of, weights, { ...urgency, ranks }, random, looks);
    // The last plan is where the first search begins; the others see what another order would do.
    const from = k === 0 || !ordered ? better(first, ordered) : ordered;
    const found = anneal(from, urgency, random, Math.round(share), (n) => {
      stopped ||= stop?.(done + n, rounds) ?? false;
      return stopped;
    });
    done += Math.round(share);
    if (!best || found.cost < best.cost) best = found;
  }
  if (several > 1 && !stopped) {
    const found = anneal(stateOf(of, weights, best!), urgency, random, Math.round(share), (n) => {
      stopped ||= stop?.(done + n, rounds) ?? false;
      return stopped;
    });
    done += Math.round(share);
    if (found.cost < best!.cost) best = found;
  }
  const settled = stateOf(of, weights, best!);
  polish(settled, of.n > LARGE ? SEARCH.largePolish : Infinity);
  return { state: settled, rounds: Math.min(done, rounds), stopped, firstCost };
}

const better = (a: PlanState, b: PlanState | null): PlanState => (b && b.cost() < a.cost() ? b : a);
