import { LOOKING } from '@/data/looking';

/** Of every pixel the least or the most within a square round it, row by row and then column by column. */
function ranked(
  plane: Float32Array,
  width: number,
  height: number,
  half: number,
  better: (p: number, q: number) => boolean,
): Float32Array {
  const pass = (from: Float32Array, count: number, step: number, lines: number, next: number) => {
    const out = new Float32Array(from.length);
    // Indices whose values fall off from the front: the first is the best of the window.
    const queue = new Int32Array(count);
    for (let line = 0; line < lines; line++) {
      const start = line * next;
      let [head, tail, taken] = [0, 0, 0];
      for (let i = 0; i < count; i++) {
        for (; taken <= Math.min(count - 1, i + half); taken++) {
          const v = from[start + taken * step]!;
          while (tail > head && !better(from[start + queue[tail - 1]! * step]!, v)) tail -= 1;
          queue[tail++] = taken;
        }
        while (queue[head]! < i - half) head += 1;
        out[start + i * step] = from[start + queue[head]! * step]!;
      }
    }
    return out;
  };
  return pass(pass(plane, width, 1, height, width), height, width, width, 1);
}

/**
 * Marks thinner than a brush: what an opening or a closing by a square as wide as the brush takes away (white and black
 * top hats; Serra 1982, from memory).
 * @param L row by row @param brushPx how wide the brush is, px
 * @returns of each pixel whether such a mark is there
 */
export function fineMarks(
  L: Float32Array,
  width: number,
  height: number,
  brushPx: number,
): Uint8Array {
  const half = Math.max(1, Math.round(brushPx / 2));
  const less = (p: number, q: number) => p < q;
  const more = (p: number, q: number) => p > q;
  const opened = ranked(ranked(L, width, height, half, less), width, height, half, more);
  const closed = ranked(ranked(L, width, height, half, more), width, height, half, less);
  return Uint8Array.from(L, (v, i) =>
    v - opened[i]! > LOOKING.markL || closed[i]! - v > LOOKING.markL ? 1 : 0,
  );
}

export interface MarksSeen {
  /** Share of the picture covered by marks thinner than the brush. */
  share: number;
  /** Part of them that is still told from its surroundings at the distance; null where there are none. */
  seen: number | null;
}

/** @param near, far lightness from near and as it is seen from a distance */
export function marksSeen(
  near: Float32Array,
  far: Float32Array,
  width: number,
  height: number,
  brushPx: number,
): MarksSeen {
  const marks = fineMarks(near, width, height, brushPx);
  const left = fineMarks(far, width, height, brushPx);
  let [all, still] = [0, 0];
  for (let i = 0; i < marks.length; i++)
    if (marks[i]) {
      all += 1;
      still += left[i]!;
    }
  return { share: all / marks.length, seen: all === 0 ? null : still / all };
}
