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
  return {
    count,
    ms: slotMs,
    start,
    window: Int32Array.from(owner),
    first,
    end,
    from(ms) {
      let low = 0;
      let high = count;
      while (low < high) {
        const middle = (low + high) >> 1;
        if (start[middle]! < ms) low = middle + 1;
        else high = middle;
      }
      return low;
    },
  };
}
