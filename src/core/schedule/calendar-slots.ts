import type { WorkWindow } from './problem';

/** Working time cut into slots; slot `t` starts at `start[t]` and lies in window `window[t]`. */
export interface Slots {
  count: number;
  ms: number;
  start: Float64Array;
  window: Int32Array;
  /** First slot of each window, and one past its last. */
  first: Int32Array;
  end: Int32Array;
  /** The first slot that starts at or after a moment; `count` when there is none. */
  from(ms: number): number;
}

/** Whole slots inside each window, on the grid of the epoch, none before `nowMs`. Windows too short for a slot stay, empty. */
export function slotsOf(windows: WorkWindow[], slotMs: number, nowMs: number): Slots {
  const starts: number[] = [];
  const owner: number[] = [];
  const first = new Int32Array(windows.length);
  const end = new Int32Array(windows.length);
  windows.forEach(({ fromMs, toMs }, w) => {
    first[w] = starts.length;
    const from = Math.max(fromMs, nowMs);
    for (let at = Math.ceil(from / slotMs) * slotMs; at + slotMs <= toMs; at += slotMs) {
      starts.push(at);
      owner.push(w);
    }
    end[w] = starts.length;
  });
  const start = Float64Array.from(starts);
  const count = start.length;
  // The first slot at or after every step of the grid: a search asks for it some million times.
  const start0 = count > 0 ? start[0]! : 0;
  const steps = count > 0 ? Math.round((start[count - 1]! - start0) / slotMs) + 1 : 0;
  const firstFrom = new Int32Array(steps);
  for (let step = 0, t = 0; step < steps; step++) {
    while (start[t]! < start0 + step * slotMs) t += 1;
    firstFrom[step] = t;
  }
  return {
    count,
    ms: slotMs,
    start,
    window: Int32Array.from(owner),
    first,
    end,
    from(ms) {
      const step = Math.ceil((ms - start0) / slotMs);
      if (!(step > 0)) return 0;
      if (step >= firstFrom.length) return count;
      const t = firstFrom[step]!;
      // A moment just after a start may be rounded onto it.
      return t < count && start[t]! < ms ? t + 1 : t;
    },
  };
}
