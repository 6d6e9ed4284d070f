import { LOOKING } from '@/data/looking';

/** Half the mirrored index beyond an edge. */
const mirrored = (i: number, n: number): number => {
  let at = i;
  while (at < 0 || at >= n) at = at < 0 ? -at - 1 : 2 * n - 1 - at;
  return at;
};

/** Three odd widths of boxes that together blur like a Gaussian; the usual widths (Kovesi 2010, from memory). */
export function boxesOf(sigma: number): number[] {
  const ideal = Math.sqrt((12 * sigma * sigma) / 3 + 1);
  let low = Math.floor(ideal);
  if (low % 2 === 0) low -= 1;
  const lows = Math.round((12 * sigma * sigma - 3 * low * low - 12 * low - 9) / (-4 * low - 4));
  return [0, 1, 2].map((i) => (i < lows ? low : low + 2));
}

function boxRow(
  from: Float32Array,
  to: Float32Array,
  width: number,
  height: number,
  box: number,
): void {
  const half = (box - 1) / 2;
  for (let y = 0; y < height; y++) {
    const at = y * width;
    let sum = 0;
    for (let i = -half; i <= half; i++) sum += from[at + mirrored(i, width)]!;
    for (let x = 0; x < width; x++) {
      to[at + x] = sum / box;
      // Mirrored at the ends alone.
      sum +=
        x >= half && x + half + 1 < width
          ? from[at + x + half + 1]! - from[at + x - half]!
          : from[at + mirrored(x + half + 1, width)]! - from[at + mirrored(x - half, width)]!;
    }
  }
}

function boxColumn(
  from: Float32Array,
  to: Float32Array,
  width: number,
  height: number,
  box: number,
): void {
  const half = (box - 1) / 2;
  // A row of sums at a time: memory is walked in order.
  const sums = new Float64Array(width);
  for (let i = -half; i <= half; i++) {
    const at = mirrored(i, height) * width;
    for (let x = 0; x < width; x++) sums[x]! += from[at + x]!;
  }
  for (let y = 0; y < height; y++) {
    const add = mirrored(y + half + 1, height) * width;
    const take = mirrored(y - half, height) * width;
    for (let x = 0; x < width; x++) {
      to[y * width + x] = sums[x]! / box;
      sums[x]! += from[add + x]! - from[take + x]!;
    }
  }
}

/**
 * A plane of linear light as through half-shut eyes: three boxes, mirrored at the edges, so that nothing from outside
 * bleeds in. @param sigma px
 */
export function blurred(
  plane: Float32Array,
  width: number,
  height: number,
  sigma: number,
): Float32Array {
  const one = Float32Array.from(plane);
  if (sigma < 0.3) return one;
  const two = new Float32Array(plane.length);
  for (const box of boxesOf(sigma)) {
    boxRow(one, two, width, height, box);
    boxColumn(two, one, width, height, box);
  }
  return one;
}

/** Sigma, mm, of a squint that melts discs of so many mm. An eye out of focus by D dioptres makes discs of D * pupil * distance. */
export const squintSigmaMm = (discMm: number): number => discMm / LOOKING.discSigma;
