/**
 * Places of labels pushed apart so that none lies on another, in their order; as a whole no lower than `lowest`.
 * @param places px from the top @param gap the least between two
 */
export function apart(places: readonly number[], gap: number, lowest: number): number[] {
  const order = places.map((y, i) => ({ y, i })).sort((p, q) => p.y - q.y);
  let last = -Infinity;
  for (const item of order) {
    item.y = Math.max(item.y, last + gap);
    last = item.y;
  }
  const over = Math.max(0, last - lowest);
  const out = new Array<number>(places.length);
  for (const { y, i } of order) out[i] = y - over;
  return out;
}
