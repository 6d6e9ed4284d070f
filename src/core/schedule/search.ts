import { SEARCH } from '@/data/search';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { DAY_MS } from '../drying';
import { all, anneal, foundOf, type Found } from './anneal';
import type { Compiled } from './compile';
import { Walk } from './walk';
import { decode } from './decode';
import { EARLIEST } from './place';
import { searchOrder } from './order-search';
import { polish } from './polish';
import { isStudio, LARGE } from './ruin';
import { PlanState, UNPLACED } from './state';
import { tailsOf } from './tails';
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
    ? (n <= SEARCH.tinyWorks ? SEARCH.tinyCycles : SEARCH.smallCycles) * SEARCH.cycle
    : Math.round(
        Math.min(SEARCH.mostRounds, Math.max(SEARCH.fewestRounds, SEARCH.roundsTimesWorks / n)),
      );

/** Plans that the search over the order of the paintings builds, where the usual rounds are asked for. */
const usualLooks = (n: number): number =>
  n <= SEARCH.smallWorks
    ? SEARCH.orderLooksSmall
    : Math.min(
        SEARCH.orderLooks,
        (n > LARGE ? SEARCH.orderLooksTimesWorksLarge : SEARCH.orderLooksTimesWorks) / n,
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

/** The last plan, as far as it still holds; null without one. */
function lastPlan(
  of: Compiled,
  { weights, warm }: Pick<SearchOptions, 'weights' | 'warm'>,
): PlanState | null {
  if (!warm || warm.size === 0) return null;
  const state = new PlanState(of, weights);
  warmStart(state, warm, bySlack(of, tailsOf(of)));
  return state;
}

/** A first plan: the last one, or the best of a few rules. */
export function firstPlan(
  of: Compiled,
  options: Pick<SearchOptions, 'weights' | 'warm'>,
  last = lastPlan(of, options),
): PlanState {
  const tails = tailsOf(of);
  const candidates = last ? [last] : [];
  const urgencies = [bySlack(of, tails), ...ranksOf(of).map((rank) => byProject(of, tails, rank))];
  for (const urgency of urgencies)
    for (const join of [0, 1]) {
      const state = new PlanState(of, options.weights);
      decode(state, all(of), urgency, { ...EARLIEST, join });
      candidates.push(state);
    }
  return candidates.reduce((best, s) => (s.cost() < best.cost() ? s : best));
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
 * The best plan found: a first plan by rules or the last one, and then parts built anew. Problems of a studio's size are
 * begun several times, from what walks through the calendar find; the better half of them goes on, with twice the rounds
 * each, until two are left, and of the best the later part is walked again. Others begin once, from the best order of the
 * paintings that is found (or from a walk, where that is better): large ones, the smallest, and who asks for few rounds and
 * so for a quick answer. The last plan stays unless what is found is better by more than a trifle.
 */
export function search(of: Compiled, options: SearchOptions): SearchResult {
  const { weights, seed, stop } = options;
  const last = lastPlan(of, options);
  const usual = usualRounds(of.n);
  const rounds = options.rounds ?? usual;
  // A plan that is only mended, a large one or in a hurry, has no time for orders.
  const mends = last !== null && (of.n > LARGE || rounds < usual);
  const first = firstPlan(of, options, last);
  const firstCost = first.cost();
  // The search moves what it is given.
  const stood = last && foundOf(last, last.cost());
  const enough = last ? SEARCH.worthMoving * last.costOfPlaced() : 0;
  if (of.n === 0) return { state: first, rounds: 0, stopped: false, firstCost };
  const random = uniform(seed);
  const tails = tailsOf(of);
  const urgency = { slack: bySlack(of, tails), tails };
  const ranks = ranksOf(of);
  const fully = usualLooks(of.n);
  const looks = mends ? 0 : fully * Math.min(1, rounds / usual);
  const starts = isStudio(of) && rounds >= usual ? SEARCH.starts : 1;
  const heats = Math.max(1, Math.log2(starts));
  let done = 0;
  let stopped = false;
  const go = (from: PlanState, left: number): Found => {
    const share = Math.round(rounds / heats / left);
    const found = anneal(from, urgency, random, share, (n) => {
      stopped ||= stop?.(done + n, rounds) ?? false;
      return stopped;
    });
    done += stopped ? 0 : share;
    return found;
  };
  let field: Found[] = [];
  const walk = new Walk(of, weights, tails, random, first, rounds / usual, () => {
    stopped ||= stop?.(done, rounds) ?? false;
    return stopped;
  });
  // The smallest are exact without.
  const walks = of.n > SEARCH.tinyWorks && of.n <= LARGE && rounds >= usual;
  const fronts = walks ? walk.fronts(starts) : [];
  if (starts > 1) {
    // The last plan is where one search begins; the others see what a walk through the calendar finds.
    if (last) field.push(go(first, starts));
    for (const front of fronts.slice(0, starts - field.length))
      if (!stopped) field.push(go(stateOf(of, weights, front), starts));
  }
  if (field.length === 0) {
    const ordered = stopped ? null : searchOrder(of, weights, { ...urgency, ranks }, random, looks);
    const [found] = [...fronts, ...(ordered ? [ordered] : [])].sort((a, b) => a.cost - b.cost);
    field.push(go(found && found.cost < firstCost ? stateOf(of, weights, found) : first, 1));
  }
  const better = () => field.sort((a, b) => a.cost - b.cost);
  for (let left = starts >> 1; left > 1 && !stopped; left >>= 1)
    field = better()
      .slice(0, left)
      .map((f) => {
        const again = go(stateOf(of, weights, f), left);
        return again.cost < f.cost ? again : f;
      });
  let best = better()[0]!;
  if (walks)
    best = walk.again(best, (found) =>
      anneal(stateOf(of, weights, found), urgency, random, SEARCH.againRounds, () => stopped),
    );
  const settled = stateOf(of, weights, best);
  polish(settled, of.n > LARGE ? SEARCH.largePolish : Infinity);
  const state =
    stood && stood.cost - settled.cost() < enough ? stateOf(of, weights, stood) : settled;
  return { state, rounds: Math.min(done, rounds), stopped, firstCost };
}
