import erfcinv from '@stdlib/math-base-special-erfcinv';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

const BITS = 10;
const SIZE = 1 << BITS;
const MASK = SIZE - 1;

function once<T>(make: () => T): () => T {
  let made: T | null = null;
  return () => (made ??= make());
}

/**
 * Standard normal values at the middles of 1024 equal chances, their variance made 1: drawing one of them at random
 * is a normal draw to three digits (its extreme is 3.3), much cheaper than transforming uniform numbers, and the
 * table stays in the nearest memory.
 */
export const NORMALS = once(() => {
  const raw = Float64Array.from(
    { length: SIZE },
    (_, k) => -Math.SQRT2 * erfcinv((2 * (k + 0.5)) / SIZE),
  );
  const sd = Math.sqrt(raw.reduce((sum, x) => sum + x * x, 0) / SIZE);
  return Float32Array.from(raw, (x) => x / sd);
});

/** Spreads are told apart to this step, a two-hundredth of what a film usually has. */
const SPREAD_STEP = 1 / 1024;
const spreads = new Map<number, Float32Array>();

/** exp(s z) for every z of the table of normals: the spread of one film, to be drawn from by place. */
export function spreadTable(s: number): Float32Array {
  const key = Math.round(s / SPREAD_STEP);
  const known = spreads.get(key);
  if (known) return known;
  const table = Float32Array.from(NORMALS(), (z) => Math.exp(key * SPREAD_STEP * z));
  spreads.set(key, table);
  return table;
}

/**
 * Fills a list (its length a multiple of three) with random places in the table of normals, three from each number. The parts of
 * one seed are stretches of the same sequence, 2^64 numbers apart.
 */
export function placesOf(seed: number, part: number): (out: Int32Array) => void {
  const rng = xoroshiro128plus(seed);
  for (let k = 0; k < part; k++) rng.jump();
  return (out) => {
    for (let d = 0; d < out.length; d += 3) {
      const bits = rng.next();
      out[d] = bits & MASK;
      out[d + 1] = (bits >>> BITS) & MASK;
      out[d + 2] = (bits >>> (2 * BITS)) & MASK;
    }
  };
}
