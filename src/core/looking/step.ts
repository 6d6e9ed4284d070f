import { LOOKING } from '@/data/looking';

/** The median of values; of two middle ones the lower. */
export const medianOf = (values: readonly number[]): number => {
  const sorted = [...values].sort((p, q) => p - q);
  return sorted[Math.floor((sorted.length - 1) / 2)]!;
};
/**
 * The width of a step, from a tenth to nine tenths, in samples; null where its ends do not differ. The ends are medians
 * of the outer sixths, which what a phone adds by sharpening does not reach.
 */
export function stepWidth(profile: readonly number[]): { width: number; rise: number } | null {
  const sixth = Math.max(1, Math.floor(profile.length / 6));
  const low = medianOf(profile.slice(0, sixth));
  const high = medianOf(profile.slice(-sixth));
  const rise = high - low;
  if (rise === 0) return null;
  const t = profile.map((v) => (v - low) / rise);
  // Out from the middle: the crossing of a half that lies nearest to it.
  const cross = (from: number, by: 1 | -1, level: number): number => {
    for (let i = from; i + by >= 0 && i + by < t.length; i += by) {
      const [p, q] = [t[i]!, t[i + by]!];
      if ((p - level) * (q - level) <= 0 && p !== q) return i + (by * (level - p)) / (q - p);
    }
    return by === 1 ? t.length - 1 : 0;
  };
  const mid = (t.length - 1) / 2;
  let half = -1;
  for (let i = 0; i + 1 < t.length; i++)
    if (t[i]! < 0.5 && t[i + 1]! >= 0.5 && (half < 0 || Math.abs(i - mid) < Math.abs(half - mid)))
      half = i;
  if (half < 0) return null;
  return { width: cross(half + 1, 1, 0.9) - cross(half, -1, 0.1), rise };
}

/** A profile laid on another by the shift at which they differ least. */
function bestShift(profile: readonly number[], on: readonly number[], most: number): number {
  let best = 0;
  let least = Infinity;
  for (let shift = -most; shift <= most; shift++) {
    let sum = 0;
    let n = 0;
    for (let i = 0; i < on.length; i++) {
      const v = profile[i + shift];
      if (v === undefined) continue;
      sum += (v - on[i]!) ** 2;
      n += 1;
    }
    if (n > on.length / 2 && sum / n < least) [least, best] = [sum / n, shift];
  }
  return best;
}

/** Profiles in groups, each laid on its first before they are averaged: a border drawn by hand wanders. */
export function grouped(profiles: readonly number[][], most: number): number[][] {
  const out: number[][] = [];
  for (let i = 0; i < profiles.length; i += LOOKING.edgeGroup) {
    const group = profiles.slice(i, i + LOOKING.edgeGroup);
    const on = group[Math.floor(group.length / 2)]!;
    const sum = new Array<number>(on.length).fill(0);
    const n = new Array<number>(on.length).fill(0);
    for (const profile of group) {
      const shift = profile === on ? 0 : bestShift(profile, on, most);
      for (let k = 0; k < on.length; k++) {
        const v = profile[k + shift];
        if (v === undefined) continue;
        sum[k]! += v;
        n[k]! += 1;
      }
    }
    out.push(sum.map((s, k) => (n[k]! > 0 ? s / n[k]! : on[k]!)));
  }
  return out;
}

/**
 * The steepest step of a profile, within a window that just holds it: a form that turns, or a grade inside a passage, is
 * not its border. Null where nothing rises.
 * @param wander how far from the middle the step may lie, samples
 * @param least half of the smallest window, samples
 */
export function steepest(
  profile: readonly number[],
  wander: number,
  least: number,
): { width: number; rise: number; from: number; to: number } | null {
  const mid = (profile.length - 1) / 2;
  const half = Math.max(1, Math.round(least / 3));
  let centre = mid;
  let most = 0;
  for (
    let i = Math.max(half, Math.ceil(mid - wander));
    i <= Math.min(profile.length - 1 - half, mid + wander);
    i++
  ) {
    const slope = Math.abs(profile[i + half]! - profile[i - half]!);
    if (slope > most) [most, centre] = [slope, i];
  }
  let found: { width: number; rise: number; from: number; to: number } | null = null;
  for (let reach = least; ; reach = Math.ceil(reach * 1.4)) {
    const from = Math.max(0, Math.round(centre - reach));
    const to = Math.min(profile.length - 1, Math.round(centre + reach));
    const step = stepWidth(profile.slice(from, to + 1));
    if (step) found = { ...step, from, to };
    // The window holds it where its flat ends lie outside the step.
    if (step && reach >= LOOKING.edgeWindow * step.width) break;
    if (from === 0 && to === profile.length - 1) break;
  }
  return found;
}
