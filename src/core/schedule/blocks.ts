import type { LagN, WetN } from './waits';

/** Works that must be placed together, because paint of one has to be caught open by the next; in order. */
export type Block = number[];

/** The works in such blocks, each block after those it waits for. */
export function blocksOf(n: number, wets: WetN[][], after: number[][], lags: LagN[][]): Block[] {
  const parent = Array.from({ length: n }, (_, i) => i);
  const root = (i: number): number => (parent[i] === i ? i : (parent[i] = root(parent[i]!)));
  const join = (a: number, b: number) => (parent[root(a)] = root(b));
  wets.forEach((list, i) => list.forEach((w) => (w.from >= 0 ? join(w.from, i) : undefined)));
  // Two blocks that wait for each other are one: what lies between a coat and what is laid into it belongs to both.
  for (let merged = true; merged;) {
    merged = false;
    const seen = new Int8Array(n);
    const path: number[] = [];
    const members = (r: number) => parent.map((_, i) => i).filter((i) => root(i) === r);
    const visit = (r: number): void => {
      if (merged || seen[r] === 2) return;
      if (seen[r] === 1) {
        for (const other of path.slice(path.indexOf(r))) join(other, r);
        merged = true;
        return;
      }
      seen[r] = 1;
      path.push(r);
      for (const i of members(r)) for (const j of after[i]!) if (root(j) !== r) visit(root(j));
      path.pop();
      seen[r] = 2;
    };
    // Only blocks of several works can be in such a circle; single works were checked before.
    for (let i = 0; i < n && !merged; i++) if (wets[i]!.length > 0) visit(root(i));
  }
  const grouped = new Map<number, number[]>();
  for (const i of inOrder(n, after, lags, wets)) {
    const r = root(i);
    const list = grouped.get(r);
    if (list) list.push(i);
    else grouped.set(r, [i]);
  }
  return [...grouped.values()];
}

/** Every work after those it waits for; otherwise in the order given. */
function inOrder(n: number, after: number[][], lags: LagN[][], wets: WetN[][]): number[] {
  const waiting = Array.from(
    { length: n },
    (_, i) => [...lags[i]!, ...wets[i]!].filter((l) => l.from >= 0).length,
  );
  const out = waiting.flatMap((w, i) => (w === 0 ? [i] : []));
  for (let k = 0; k < out.length; k++)
    for (const j of after[out[k]!]!) if (--waiting[j]! === 0) out.push(j);
  return out;
}
