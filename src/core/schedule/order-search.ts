import { SEARCH } from '@/data/search';
import type { Compiled } from './compile';
import { decode } from './decode';
import { EARLIEST } from './place';
import type { PlanWeights } from './problem';
import { PlanState } from './state';

/** A way to build a whole plan: who goes first, how far apart the paintings stand, and what is waited for. */
interface Recipe {
  /** Place of each painting, the first first. */
  rank: number[];
  /** Days of urgency between one painting and the next: none is by slack alone, many is one after the other. */
  apart: number;
  /** Chance to wait for a session that is held anyway, and for one in which the medium is on the palette. */
  join: number;
  passMedium: number;
}

const between = (random: () => number, low: number, high: number): number =>
  low * (high / low) ** random();
const pick = (random: () => number, n: number): number => Math.min(n - 1, (random() * n) | 0);

function changed({ rank, ...rest }: Recipe, random: () => number): Recipe {
  const next = { ...rest, rank: rank.slice() };
  const kind = random();
  if (kind < SEARCH.orderMoves && rank.length > 1) {
    // One painting taken out of the row and put in elsewhere.
    const row = rank.map((_, g) => g).sort((a, b) => rank[a]! - rank[b]!);
    const [moved] = row.splice(pick(random, row.length), 1);
    row.splice(pick(random, row.length + 1), 0, moved!);
    row.forEach((g, k) => (next.rank[g] = k));
  } else if (kind < SEARCH.orderSpread)
    next.apart = between(random, SEARCH.orderApartLeast, SEARCH.orderApartMost);
  else if (kind < SEARCH.orderJoin) next.join = random() < 0.5 ? Math.round(random()) : random();
  else next.passMedium = random() < 0.5 ? Math.round(random()) : random();
  return next;
}

/**
 * A search over the order of the paintings: plans built whole, from front to back, by who goes first and how far apart
 * the paintings stand. Works that compete for the same hours are ordered by their paintings before anything else, and
 * moving single works never finds that. Annealed, and the same for the same random numbers.
 * @param looks plans to build
 * @param slack urgency by slack, days, and what must still follow each work
 */
export function searchOrder(
  of: Compiled,
  weights: PlanWeights,
  { slack, tails, ranks }: { slack: Float64Array; tails: Float64Array; ranks: number[][] },
  random: () => number,
  looks: number,
): PlanState | null {
  if (of.goals.length === 0 || looks === 0) return null;
  const works = Array.from({ length: of.n }, (_, i) => i);
  const urgency = new Float64Array(of.n);
  const build = ({ rank, apart, join, passMedium }: Recipe): PlanState => {
    for (let i = 0; i < of.n; i++) {
      const place = apart * (rank[of.project[i]!] ?? 0);
      urgency[i] = apart >= SEARCH.orderApartMost ? place - tails[i]! : place + slack[i]!;
    }
    const state = new PlanState(of, weights);
    decode(state, works, urgency, { ...EARLIEST, random, join, passMedium });
    return state;
  };
  const starts = ranks.flatMap((rank) =>
    [SEARCH.orderApartMost, 1].map((apart): Recipe => ({ rank, apart, join: 0.5, passMedium: 0 })),
  );
  let best: PlanState | null = null;
  let bestCost = Infinity;
  let now: Recipe = starts[0]!;
  let cost = Infinity;
  for (let k = 0; k < looks; k++) {
    const tried = k < starts.length ? starts[k]! : changed(now, random);
    const state = build(tried);
    const its = state.cost();
    const heat = SEARCH.orderHeat * Math.min(its, bestCost) * (1 - k / looks) ** 2;
    if (its <= cost || random() < Math.exp((cost - its) / Math.max(heat, 1e-9))) {
      now = tried;
      cost = its;
    }
    if (its < bestCost) {
      best = state;
      bestCost = its;
    }
  }
  return best;
}
