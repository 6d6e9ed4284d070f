import type { FilmStep } from './step';

/** Where a film is drawn: y downwards, the lowest film at the bottom. */
export interface Band {
  step: FilmStep;
  y: number;
  height: number;
  /** Width of its step in the stair, px. */
  width: number;
}

/** The thinnest line that still shows its texture. */
const HAIR_PX = 5;

interface StackOptions {
  steps: FilmStep[];
  /** Bottom edge of the lowest film. */
  bottomY: number;
  pxPerUm: number;
  stairWidth: number;
}

/** Range of the measure over several stacks, so that columns side by side compare. */
export function measureRange(steps: FilmStep[]): [number, number] {
  const values = steps.flatMap((s) => (s.measure === null ? [] : [s.measure]));
  if (values.length === 0) return [0, 1];
  const lo = Math.min(...values);
  const hi = Math.max(...values);
  return hi - lo < 1e-6 ? [lo - 0.5, lo + 0.5] : [lo, hi];
}

/** The leanest step takes this share of the stair, so that there is always a step to see. */
const LEANEST_SHARE = 0.3;

export const stepWidth = (
  measure: number | null,
  [lo, hi]: [number, number],
  full: number,
): number =>
  full *
  (measure === null ? 1 : LEANEST_SHARE + ((1 - LEANEST_SHARE) * (measure - lo)) / (hi - lo));

/** A film that the school does not speak of is as narrow as the leanest. */
const widthOf = (step: FilmStep, range: [number, number], full: number): number =>
  step.unspoken ? LEANEST_SHARE * full : stepWidth(step.measure, range, full);

/** Bands of a stack, lowest first. Heights are to scale, but never thinner than a hair. */
export function stackBands(
  { steps, bottomY, pxPerUm, stairWidth }: StackOptions,
  range: [number, number],
): Band[] {
  let y = bottomY;
  return steps.map((step) => {
    const height = Math.max(HAIR_PX, step.thicknessUm * pxPerUm);
    y -= height;
    return { step, y, height, width: widthOf(step, range, stairWidth) };
  });
}

/** Scale that lets `totalUm` fill `heightPx`, given that some films are drawn as hairs. */
export function scaleFor(steps: FilmStep[], heightPx: number, maxPxPerUm: number): number {
  const total = steps.reduce((s, step) => s + step.thicknessUm, 0);
  if (total === 0) return maxPxPerUm;
  let scale = Math.min(maxPxPerUm, heightPx / total);
  // Hairs take more than their share: shrink the rest until all of it fits.
  for (let i = 0; i < 4; i++) {
    const height = steps.reduce((s, step) => s + Math.max(HAIR_PX, step.thicknessUm * scale), 0);
    if (height > heightPx) scale *= heightPx / height;
  }
  return scale;
}

/** A brushed edge from x0 to x1 at y, as path commands; the same seed draws the same edge. */
export function brushedEdge(
  x0: number,
  x1: number,
  y: number,
  roughness: number,
  seed: number,
): string {
  const spacing = 22;
  const n = Math.max(2, Math.round((x1 - x0) / spacing));
  const at = (i: number): [number, number] => {
    const wave = Math.sin(i * 1.7 + seed * 2.3) * 0.6 + Math.sin(i * 0.63 + seed * 5.1) * 0.4;
    return [x0 + ((x1 - x0) * i) / n, y + (i === 0 || i === n ? 0 : wave * roughness)];
  };
  let d = `${at(0)
    .map((v) => v.toFixed(1))
    .join(' ')}`;
  for (let i = 1; i <= n; i++) {
    const [px, py] = at(i - 1);
    const [x, yy] = at(i);
    const mx = (px + x) / 2;
    d += ` C ${mx.toFixed(1)} ${py.toFixed(1)} ${mx.toFixed(1)} ${yy.toFixed(1)} ${x.toFixed(1)} ${yy.toFixed(1)}`;
  }
  return d;
}

/** Even spots for labels near their films: each at its wanted height where there is room, else pushed on. */
export function spreadLabels(wanted: number[], gap: number, top: number, bottom: number): number[] {
  const order = wanted.map((y, i) => ({ y, i })).sort((a, b) => a.y - b.y);
  const out: number[] = new Array<number>(wanted.length).fill(0);
  let floor = top;
  for (const { y, i } of order) {
    out[i] = Math.max(floor, y);
    floor = out[i]! + gap;
  }
  // Push back up what ran out at the bottom.
  let ceiling = bottom;
  for (const { i } of [...order].reverse()) {
    out[i] = Math.min(ceiling, out[i]!);
    ceiling = out[i]! - gap;
  }
  return out;
}

/** A round length for the scale bar, um, that is 40 to 100 px long where it can be. */
export function scaleBarUm(pxPerUm: number): number {
  const lengths = [5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000];
  return lengths.find((um) => um * pxPerUm >= 40) ?? 5000;
}
