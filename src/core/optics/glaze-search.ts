import { GLAZE_SEARCH } from '@/data/glaze-search';
import type { Finish } from '@/data/optics';
import { OPTICS_BENCH } from '@/data/optics-bench';
import { de2000, de2000Parts, type Lab } from './colour';
import { leastSquares } from './least-squares';
import { Look, sumOf } from './glaze-look';
import type { OpticalPaint } from './paint';
import type { Spectrum } from './spectrum';

/** What a coat may be: thickness and strength inside the rules that the caller knows. */
export interface GlazeLimits {
  leastUm: number;
  mostUm: number;
  /** Thickness that the painter would lay; thinner or thicker only where it must be. */
  usualUm: number;
  /** Share of the dry film that is tube paint: at least what the cap on medium leaves, at most what the school's fatness asks. */
  leastTube: number;
  mostTube: number;
}

export interface GlazeTask {
  paints: readonly OpticalPaint[];
  /** A thought added to the cost of a paint: caution, slow drying, not on the palette; DE2000 squared. */
  dislike?: readonly number[];
  /** Inner reflectance beneath; null: laid opaque, as body colour. */
  below: Spectrum | null;
  wanted: Lab;
  finish: Finish;
  /** Coefficient of variation of the thickness of a glaze; even when absent. */
  uneven?: number;
  limits: GlazeLimits;
  mostPaints?: 1 | 2 | 3;
}

export interface GlazeAnswer {
  /** Index of each paint and its amount: um of tube paint in a glaze, share of the mix in an opaque coat. */
  paints: { index: number; um: number }[];
  thicknessUm: number;
  lab: Lab;
  de: number;
}

export interface GlazeFound {
  /** Best first, of different sets of paints. */
  answers: GlazeAnswer[];
  /** Whether the best passes for the wanted colour. */
  reached: boolean;
  stopped: boolean;
  looked: number;
}

const logSteps = (n: number, from: number, to: number): number[] =>
  Array.from({ length: n }, (_, i) => from * (to / from) ** (n === 1 ? 0.5 : i / (n - 1)));

interface Start {
  set: number[];
  um: number[];
  cost: number;
}

/** Every way to take `size` of `from`. */
function setsOf(from: number[], size: number): number[][] {
  if (size === 0) return [[]];
  return from.flatMap((first, i) =>
    setsOf(from.slice(i + 1), size - 1).map((rest) => [first, ...rest]),
  );
}

/** Every combination of amounts. */
const amountsOf = (steps: number[], size: number): number[][] =>
  size === 0
    ? [[]]
    : amountsOf(steps, size - 1).flatMap((rest) => steps.map((step) => [...rest, step]));

/** Amounts to begin with: on a log scale; of an opaque mix only their ratio counts, so its first part stays one. */
function amountsFor(opaque: boolean, size: number): number[][] {
  const { leastUm, mostUm, singles, pairs, triples } = GLAZE_SEARCH;
  const n = [singles, pairs, triples][size - 1]!;
  if (!opaque) return amountsOf(logSteps(n, leastUm, mostUm), size);
  if (size === 1) return [[1]];
  return amountsOf(logSteps(2 * n, 0.02, 50), size - 1).map((rest) => [1, ...rest]);
}

/**
 * Which paints, how much of each, bring what lies beneath nearest to a wanted colour; at most three paints. Every single
 * paint, every pair and triples of the best are begun on a grid, and the best of each size polished by least squares on
 * the three differences of CIEDE2000: a colour near grey has several ways to it, and one start finds one.
 * A glaze is solved for um of tube paint; thickness and medium follow from the limits, for while scattering is weak they
 * trade freely. White crowds by the film that comes of it.
 * @param watch told how far it is, 0 to 1; true ends the search with the best so far
 */
export function searchGlaze(task: GlazeTask, watch?: (share: number) => boolean): GlazeFound {
  const look = new Look(task);
  const all = task.paints.map((_, i) => i);
  const opaque = task.below === null;
  const most = task.mostPaints ?? 3;
  const cost = (set: readonly number[], de: number): number =>
    de * de +
    GLAZE_SEARCH.perPigment * (set.length - 1) ** 2 +
    set.reduce((sum, p) => sum + (task.dislike?.[p] ?? 0), 0);
  let stopped = false;
  const polished: Start[] = [];
  const begin = (sets: number[][], size: number, from: number, to: number): Start[] => {
    const amounts = amountsFor(opaque, size);
    const starts: Start[] = [];
    for (const [n, set] of sets.entries()) {
      if (n % GLAZE_SEARCH.askEvery === 0 && watch?.(from + ((to - from) * n) / sets.length))
        stopped = true;
      if (stopped) break;
      let best: Start | null = null;
      for (const um of amounts) {
        const its = cost(set, de2000(look.lab(set, um), task.wanted));
        if (!best || its < best.cost) best = { set, um, cost: its };
      }
      if (best) starts.push(best);
    }
    starts.sort((a, b) => a.cost - b.cost);
    for (const start of starts.slice(0, GLAZE_SEARCH.polished)) polished.push(polish(start));
    return starts;
  };
  const polish = ({ set, um, cost: before }: Start): Start => {
    const { at } = leastSquares(
      (x) => {
        const { dL, dC, dH } = de2000Parts(look.lab(set, x.map(Math.exp)), task.wanted);
        return Float64Array.of(dL, dC, dH);
      },
      um.map(Math.log),
      { steps: GLAZE_SEARCH.polishSteps, step: 1e-4 },
    );
    const better = Array.from(at, Math.exp);
    const its = cost(set, de2000(look.lab(set, better), task.wanted));
    return its < before ? { set, um: better, cost: its } : { set, um, cost: before };
  };
  begin(setsOf(all, 1), 1, 0, 0.05);
  if (most >= 2 && !stopped) {
    const pairs = begin(setsOf(all, 2), 2, 0.05, 0.5);
    if (most >= 3 && !stopped) {
      const good: number[] = [];
      for (const { set } of pairs)
        for (const p of set)
          if (!good.includes(p) && good.length < GLAZE_SEARCH.triplesFrom) good.push(p);
      begin(setsOf(good, 3), 3, 0.5, 1);
    }
  }
  return { ...tell(polished, look, task), stopped, looked: look.looked };
}

/** Of the polished starts the best of different paints, without what cannot be measured out. */
function tell(
  starts: Start[],
  look: Look,
  task: GlazeTask,
): Pick<GlazeFound, 'answers' | 'reached'> {
  const seenSets = new Set<string>();
  const answers: GlazeAnswer[] = [];
  for (const { set, um } of starts.sort((a, b) => a.cost - b.cost)) {
    const total = sumOf(um);
    const kept = set
      .map((index, j) => ({ index, um: um[j]! }))
      .filter((part) => part.um / total >= GLAZE_SEARCH.leastShare);
    const key = kept
      .map((part) => part.index)
      .sort((a, b) => a - b)
      .join(',');
    if (seenSets.has(key)) continue;
    seenSets.add(key);
    const indices = kept.map((part) => part.index);
    const lab = look.lab(
      indices,
      kept.map((part) => part.um),
    );
    const tube = sumOf(kept.map((part) => part.um));
    const { um: thicknessUm, fit } = task.below
      ? look.thickness(tube)
      : { um: task.limits.usualUm, fit: 1 / tube };
    answers.push({
      paints: kept.map((part) => ({ index: part.index, um: part.um * fit })),
      thicknessUm,
      lab,
      de: de2000(lab, task.wanted),
    });
    if (answers.length === GLAZE_SEARCH.tried) break;
  }
  return { answers, reached: (answers[0]?.de ?? Infinity) < OPTICS_BENCH.unreachableDe };
}
