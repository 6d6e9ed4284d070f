import { REPAIRS } from '@/data/repairs';
/** Halvings of the interval: 2^-34 of the range is far below any measuring spoon. */
const HALVINGS = 34;

/**
 * Smallest x in [0, max] from which `passes` holds, for a predicate that once true stays true.
 * Null when it does not even hold at `max`.
 */
export function smallestPassing(max: number, passes: (x: number) => boolean): number | null {
  if (!passes(max)) return null;
  let fails = 0;
  let holds = max;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (fails + holds) / 2;
    if (passes(middle)) holds = middle;
    else fails = middle;
  }
  return holds;
}

const SCAN_STEPS = 16;

/**
 * The first x in [0, max] that passes, for a predicate that may fail again further on: looked for in coarse
 * steps, then narrowed by halving. Null when no step passes.
 */
export function firstPassing(max: number, passes: (x: number) => boolean): number | null {
  for (let i = 1; i <= SCAN_STEPS; i++) {
    const from = (max * (i - 1)) / SCAN_STEPS;
    const to = (max * i) / SCAN_STEPS;
    if (passes(to)) return from + smallestPassing(to - from, (x) => passes(from + x))!;
  }
  return null;
}

/** Round up to what a palette knife can measure: quarters from a quarter up, else twentieths. */
export function roundUpParts(parts: number): number {
  const step = parts > REPAIRS.coarsePart ? REPAIRS.coarsePart : REPAIRS.finePart;
  return Math.ceil(parts / step - 1e-6) * step;
}
