import { LOOKING } from '@/data/looking';
import { blurred } from './blur';
import type { Raster } from './photo';
import { registered } from './register';
import type { PassageValue } from './values';

/** What a session changed on the picture. */
export interface Change {
  passages: { id: string; byL: number; byChroma: number; byWarm: number; changed: boolean }[];
  /** Share of the support that changed, and what was walked on it: dE*ab times cm2. */
  shareChanged: number;
  work: number;
  /** How well the two photos lie on each other, mm; null where it cannot be told. */
  registeredMm: number | null;
}

/** A plane of a raster read at the size of another. */
export function resampled(
  plane: Float32Array,
  from: Pick<Raster, 'width' | 'height'>,
  to: Pick<Raster, 'width' | 'height'>,
): Float32Array {
  if (from.width === to.width && from.height === to.height) return plane;
  const out = new Float32Array(to.width * to.height);
  for (let y = 0; y < to.height; y++) {
    const sy = Math.min(from.height - 1, Math.floor(((y + 0.5) / to.height) * from.height));
    for (let x = 0; x < to.width; x++)
      out[y * to.width + x] =
        plane[
          sy * from.width +
            Math.min(from.width - 1, Math.floor(((x + 0.5) / to.width) * from.width))
        ]!;
  }
  return out;
}

/**
 * @param before, after the same support; @param sigma of the value of a passage on either photo, L*
 */
export function changeOf(
  before: Raster,
  after: Raster,
  valuesBefore: readonly PassageValue[],
  valuesAfter: readonly PassageValue[],
  sigma: { before: (v: PassageValue) => number; after: (v: PassageValue) => number },
): Change {
  const { width, height, pxPerMm } = after;
  const blur = LOOKING.changeBlurMm * pxPerMm;
  const soft = (plane: Float32Array) => blurred(plane, width, height, blur);
  const [L, a, b] = [soft(after.L), soft(after.a), soft(after.b)];
  const [L0, a0, b0] = (['L', 'a', 'b'] as const).map((k) =>
    soft(resampled(before[k], before, after)),
  ) as [Float32Array, Float32Array, Float32Array];
  const registeredMm = registered(before, after).rmsMm;
  const shift = 2 * Math.max(LOOKING.registerMm, registeredMm ?? 0) * pxPerMm;
  let changed = 0;
  let walked = 0;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      const de = Math.hypot(L[at]! - L0[at]!, a[at]! - a0[at]!, b[at]! - b0[at]!);
      if (de <= LOOKING.changeDe) continue;
      // Along a hard edge a shift of half a millimetre looks like a change.
      const gx = L[at + (x < width - 1 ? 1 : 0)]! - L[at - (x > 0 ? 1 : 0)]!;
      const gy = L[at + (y < height - 1 ? width : 0)]! - L[at - (y > 0 ? width : 0)]!;
      if (de <= (Math.hypot(gx, gy) / 2) * shift) continue;
      changed += 1;
      walked += de;
    }
  const byId = new Map(valuesBefore.map((v) => [v.id, v]));
  return {
    passages: valuesAfter.flatMap((v) => {
      const was = byId.get(v.id);
      if (!was) return [];
      const error = LOOKING.sure * Math.hypot(sigma.before(was), sigma.after(v));
      const byL = v.L - was.L;
      return [
        {
          id: v.id,
          byL,
          byChroma: v.chroma - was.chroma,
          byWarm: v.warm - was.warm,
          changed: Math.abs(byL) > Math.max(LOOKING.changeL, error),
        },
      ];
    }),
    shareChanged: changed / (width * height),
    work: walked / pxPerMm ** 2 / 100,
    registeredMm,
  };
}

/** To and fro: all that a passage walked in value, over what it gained by it; null where it gained nothing told apart. */
export function churnOf(steps: readonly number[]): number | null {
  const walked = steps.reduce((s, d) => s + Math.abs(d), 0);
  const gained = Math.abs(steps.reduce((s, d) => s + d, 0));
  return gained > 0 ? walked / gained : null;
}
