/** Regions of the masses of a picture. */

/** Regions of one mass, by four neighbours: every pixel is one with the left and the upper of its mass (union and find). */
function regionsOf(map: Uint8Array, width: number, height: number) {
  const region = new Int32Array(map.length);
  const into: number[] = [];
  const root = (id: number): number => {
    let at = id;
    while (into[at] !== at) at = into[at] = into[into[at]!]!;
    return at;
  };
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at++) {
      const mass = map[at];
      const left = x > 0 && map[at - 1] === mass ? region[at - 1]! : -1;
      const up = y > 0 && map[at - width] === mass ? region[at - width]! : -1;
      if (left < 0 && up < 0) {
        region[at] = into.length;
        into.push(into.length);
      } else if (left < 0 || up < 0 || left === up) region[at] = left < 0 ? up : left;
      else {
        const one = root(left);
        const two = root(up);
        region[at] = Math.min(one, two);
        into[Math.max(one, two)] = region[at]!;
      }
    }
  // Numbered anew, without gaps.
  const names = new Int32Array(into.length).fill(-1);
  const sizes: number[] = [];
  for (let at = 0; at < region.length; at++) {
    const own = root(region[at]!);
    if (names[own]! < 0) {
      names[own] = sizes.length;
      sizes.push(0);
    }
    region[at] = names[own]!;
    sizes[names[own]!]! += 1;
  }
  return { region, sizes };
}

/** Lengths of the borders of small regions with each of their neighbours, px; a large one goes nowhere. */
function bordersOf(
  region: Int32Array,
  width: number,
  sizes: readonly number[],
  least: number,
): (Map<number, number> | undefined)[] {
  const borders = new Array<Map<number, number> | undefined>(sizes.length);
  const meet = (p: number, q: number): void => {
    if (p === q || sizes[p]! >= least) return;
    const of = (borders[p] ??= new Map<number, number>());
    of.set(q, (of.get(q) ?? 0) + 1);
  };
  for (let at = 0; at < region.length; at++) {
    const here = region[at]!;
    if ((at + 1) % width > 0 && region[at + 1] !== here) {
      meet(here, region[at + 1]!);
      meet(region[at + 1]!, here);
    }
    const below = region[at + width];
    if (below !== undefined && below !== here) {
      meet(here, below);
      meet(below, here);
    }
  }
  return borders;
}

/**
 * Regions smaller than the brush go, the smallest first, to the mass with which they have the longest border (of two alike
 * to the nearer value), and grow together with what of it they touch; until none is left.
 */
export function cleanUp(map: Uint8Array, width: number, height: number, least: number): void {
  const { region, sizes } = regionsOf(map, width, height);
  if (!sizes.some((s) => s < least)) return;
  const mass = new Uint8Array(sizes.length);
  for (let at = 0; at < map.length; at++) mass[region[at]!] = map[at]!;
  const borders = bordersOf(region, width, sizes, least);
  // A region that went into another is that other.
  const into = Int32Array.from(sizes, (_, id) => id);
  const now = (id: number): number => {
    let at = id;
    while (into[at] !== at) at = into[at] = into[into[at]!]!;
    return at;
  };
  const queue = sizes
    .map((size, id) => ({ size, id }))
    .filter(({ size }) => size < least)
    .sort((p, q) => q.size - p.size || q.id - p.id);
  const wait = (id: number): void => {
    const size = sizes[id]!;
    let [low, high] = [0, queue.length];
    while (low < high) {
      const mid = (low + high) >> 1;
      if (queue[mid]!.size > size) low = mid + 1;
      else high = mid;
    }
    queue.splice(low, 0, { size, id });
  };
  while (queue.length > 0) {
    const { id, size } = queue.pop()!;
    // It has grown since it was put in the row, or is part of another.
    if (into[id] !== id || sizes[id] !== size) continue;
    const of = new Map<number, number>();
    const own = mass[id]!;
    borders[id]!.forEach((length, other) => {
      const there = mass[now(other)]!;
      of.set(there, (of.get(there) ?? 0) + length);
    });
    const best = [...of].sort(
      (p, q) => q[1] - p[1] || Math.abs(p[0] - own) - Math.abs(q[0] - own) || p[0] - q[0],
    )[0];
    if (!best) continue;
    mass[id] = best[0];
    // What it touches of that mass is one with it.
    const touching = [...new Set([...borders[id]!.keys()].map(now))].filter(
      (other) => other !== id && mass[other] === best[0],
    );
    const largest = touching.reduce((p, q) => (sizes[q]! > sizes[p]! ? q : p));
    const parts = [id, ...touching].filter((part) => part !== largest);
    for (const part of parts) {
      into[part] = largest;
      sizes[largest]! += sizes[part]!;
    }
    // One that is no longer small is asked nothing more.
    if (sizes[largest]! >= least) continue;
    const all = borders[largest]!;
    for (const part of parts)
      borders[part]!.forEach((length, other) => all.set(other, (all.get(other) ?? 0) + length));
    for (const other of [...all.keys()]) if (now(other) === largest) all.delete(other);
    wait(largest);
  }
  for (let at = 0; at < map.length; at++) map[at] = mass[now(region[at]!)]!;
}
