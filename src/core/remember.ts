/**
 * The one cache of the core. What follows from a document is worked out once for as long as the document lives:
 * documents are never changed, only replaced, so what was remembered of one is never wrong, and goes with it.
 */
interface Remembered {
  /** How often it was worked out, and how often it was known. */
  made: number;
  known: number;
}
const counts = new Map<string, Remembered>();

/**
 * Remembers the results of a pure function by its argument. Time and memory only: without it every answer is the same.
 * @param name told by `rememberedCounts`, so that a cache that does nothing can be found
 */
export function remember<K extends object, V>(name: string, compute: (key: K) => V): (key: K) => V {
  const results = new WeakMap<K, { value: V }>();
  const count = counts.get(name) ?? { made: 0, known: 0 };
  counts.set(name, count);
  return (key) => {
    const found = results.get(key);
    if (found) {
      count.known += 1;
      return found.value;
    }
    count.made += 1;
    const value = compute(key);
    results.set(key, { value });
    return value;
  };
}

/**
 * The same for a function of a document and of what it is looked at with, where only the last such look is worth
 * keeping: a tap changes one painting, not two hundred.
 * @param same whether what was found at the first look is what the second would find; by identity unless given
 */
export function rememberLast<K extends object, W, V>(
  name: string,
  compute: (key: K, look: W) => V,
  same: (was: W, now: W, found: V) => boolean = (was, now) => Object.is(was, now),
): (key: K, look: W) => V {
  const last = remember<K, { look: W; value: V } | { look: null }>(name, () => ({ look: null }));
  return (key, look) => {
    const slot = last(key);
    if ('value' in slot && same(slot.look, look, slot.value)) return slot.value;
    const value = compute(key, look);
    Object.assign(slot, { look, value });
    return value;
  };
}

/** How much each cache has spared, by name: for finding out, not for deciding anything. */
export const rememberedCounts = (): Record<string, Readonly<Remembered>> =>
  Object.fromEntries([...counts].map(([name, count]) => [name, { ...count }]));
