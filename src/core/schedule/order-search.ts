import { SEARCH } from '@/data/search';
import type { Compiled } from './compile';
import { decode } from './decode';
import { CHOICES, EARLIEST } from './place';
import type { PlanWeights } from './problem';
import { PlanState } from './state';
import { all, foundOf, type Found } from './anneal';

const KINDS = Object.keys(CHOICES).length;

/** A way to build a whole plan: who goes first, how far apart the paintings stand, and what is waited for. */
interface Recipe {
  /** Place of each painting, the first first. */
  rank: number[];
  /** Days of urgency between one painting and the next: none is by slack alone, many is one after the other. */
  apart: number;
  /** Chance to wait for a session that is held anyway, and for one in which the medium is on the palette. */
  join: number;
  passMedium: number;
  /** The luck of each work in each choice: the same recipe is the same plan. */
  luck: Float64Array;
}

const between = (random: () => number, low: number, high: number): number =>
  low * (high / low) ** random();
const pick = (random: () => number, n: number): number => Math.min(n - 1, (random() * n) | 0);

function changed({ n, project }: Compiled, recipe: Recipe, random: () => number): Recipe {
  const next = { ...recipe };
  const { rank } = recipe;
  const kind = random();
  if (kind < SEARCH.orderMoves && rank.length > 1) {
    // One painting taken out of the row and put in elsewhere.
    const row = rank.map((_, g) => g).sort((a, b) => rank[a]! - rank[b]!);
    const [moved] = row.splice(pick(random, row.length), 1);
    row.splice(pick(random, row.length + 1), 0, moved!);
    next.rank = [];
    row.forEach((g, k) => (next.rank[g] = k));
  } else if (kind < SEARCH.orderSpread)
    next.apart = between(random, SEARCH.orderApartLeast, SEARCH.orderApartMost);
  else if (kind < SEARCH.orderJoin) next.join = random() < 0.5 ? Math.round(random()) : random();
  else if (kind < SEARCH.orderMedium)
    next.passMedium = random() < 0.5 ? Math.round(random()) : random();
  else {
    // Other luck for one work, or for all of a painting.
    const one = pick(random, n);
    const alone = random() < 0.5;
    next.luck = recipe.luck.slice();
    for (let i = 0; i < n; i++)
      if (alone ? i === one : project[i] === project[one])
        for (let k = 0; k < KINDS; k++) next.luck[i * KINDS + k] = random();
  }
  return next;
}

/**
 * A search over the order of the paintings: plans built whole, from front to back, by who goes first and how far apart
 * the paintings stand. Works that compete for the same hours are ordered by their paintings before anything else, and
 * moving single works never finds that. Annealed, and the same for the same random numbers.
 * @param looks plans to build
 * @param slack urgency by slack, days, and what must still follow each work
 * @param ranks orders that come to mind: it begins with them
 */
export function searchOrder(
  of: Compiled,
  weights: PlanWeights,
  { slack, tails, ranks }: { slack: Float64Array; tails: Float64Array; ranks: number[][] },
  random: () => number,
  looks: number,
): Found | null {
  if (of.goals.length === 0 || looks === 0) return null;
  const works = all(of);
  const urgency = new Float64Array(of.n);
  const state = new PlanState(of, weights);
  const build = ({ rank, apart, join, passMedium, luck }: Recipe): number => {
    for (let i = 0; i < of.n; i++) {
      const place = apart * (rank[of.project[i]!] ?? 0);
      urgency[i] = apart >= SEARCH.orderApartMost ? place - tails[i]! : place + slack[i]!;
    }
    state.clear();
    const chance = (i: number, choice: number) => luck[i * KINDS + choice]!;
    decode(state, works, urgency, { ...EARLIEST, random: chance, join, passMedium });
    return state.cost();
  };
  const luck = Float64Array.from({ length: of.n * KINDS }, random);
  const starts = ranks.flatMap((rank) =>
    [SEARCH.orderApartMost, 1].map((apart): Recipe => ({
      rank,
      apart,
      join: 0.5,
      passMedium: 0,
      luck,
    })),
  );
  let best: Found | null = null;
  let now: Recipe = starts[0]!;
  let cost = Infinity;
  for (let k = 0; k < looks; k++) {
    const tried = k < starts.length ? starts[k]! : changed(of, now, random);
    const its = build(tried);
    const heat = SEARCH.orderHeat * Math.min(its, best?.cost ?? Infinity) * (1 - k / looks) ** 2;
    if (its <= cost || random() < Math.exp((cost - its) / Math.max(heat, 1e-9))) {
      now = tried;
      cost = its;
    }
    if (!best || its < best.cost) best = foundOf(state, its);
  }
  return best;
}
