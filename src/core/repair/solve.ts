/** Halvings of the interval: 2^-40 of the range is far below any measuring spoon. */
const HALVINGS = 40;

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

/** Round up to what a palette knife can measure: quarters from a quarter up, else twentieths. */
export function roundUpParts(parts: number): number {
  const step = parts > 0.25 ? 0.25 : 0.05;
  return Math.ceil(parts / step - 1e-9) * step;
}
