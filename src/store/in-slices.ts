/** A tap is answered between two slices; longer ones would be felt. */
const SLICE_MS = 12;

/** Gives way once: what was asked of the page meanwhile is done first. */
export const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** All that an iteration gives, worked out bit by bit: between two slices the page answers. */
export async function inSlices<T>(steps: Iterable<T>): Promise<T[]> {
  const out: T[] = [];
  let from = performance.now();
  for (const step of steps) {
    out.push(step);
    if (performance.now() - from < SLICE_MS) continue;
    await breath();
    from = performance.now();
  }
  return out;
}
