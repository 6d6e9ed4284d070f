import { D65_2 } from '@/data/cie';
import { FINISH_SHARE, OPTICS } from '@/data/optics';
import { labOfXyz, whiteOf, type Lab } from './colour';
import type { GlazeTask } from './glaze-search';
import { depthOf, type PaintDepth } from './paint';
import { binderTail } from './pigments';
import { BANDS } from './spectrum';

const { surfaceOuter: K1, surfaceInner: K2 } = OPTICS;
const WHITE = whiteOf(D65_2);
const binderK = binderTail('linseed');

/** A film of one band over what is below it, by one exponential. */
function glazed(k: number, s: number, below: number): number {
  const x = Math.sqrt(k * (k + 2 * s)) + 1e-9;
  const e = Math.exp(-x);
  const scale = x / (1 - e * e);
  const d = scale * (1 + e * e) + k + s;
  const r0 = s / d;
  const t = (2 * scale * e) / d;
  return r0 + (t * t * below) / (1 - r0 * below);
}

/** Looks at mixtures of a set of paints, as fast as it goes: one exponential a band, no arrays made. */
export class Look {
  private readonly depths: PaintDepth[];
  private readonly glare: number;
  looked = 0;

  constructor(private readonly task: GlazeTask) {
    this.depths = task.paints.map(depthOf);
    this.glare = FINISH_SHARE[task.finish] * K1;
  }

  /** Thickness that so much tube paint is laid in; and the factor that makes it fit where it is too much, or too little, for any. */
  thickness(tubeUm: number): { um: number; fit: number } {
    const { leastUm, mostUm, usualUm, leastTube, mostTube } = this.task.limits;
    // The thinnest film with the most medium holds so much paint; less cannot be laid.
    const weakest = leastUm * leastTube;
    if (tubeUm < weakest) return { um: leastUm, fit: weakest / tubeUm };
    const least = Math.max(leastUm, tubeUm / mostTube);
    if (least > mostUm) return { um: mostUm, fit: (mostUm * mostTube) / tubeUm };
    const most = Math.max(least, Math.min(mostUm, tubeUm / leastTube));
    return { um: Math.min(most, Math.max(least, usualUm)), fit: 1 };
  }

  private outside(r: number): number {
    return this.glare + ((1 - K1) * (1 - K2) * r) / (1 - K2 * r);
  }

  lab(set: readonly number[], um: ArrayLike<number>): Lab {
    this.looked += 1;
    const { below } = this.task;
    const tubeUm = sumOf(um);
    const { um: h, fit } = below ? this.thickness(tubeUm) : { um: tubeUm, fit: 1 };
    let phi = 0;
    let solids = 0;
    set.forEach((p, j) => {
      phi += um[j]! * fit * this.depths[p]!.phi;
      solids += um[j]! * fit * this.depths[p]!.solids;
    });
    const crowd = 1 / (1 + (phi / h / OPTICS.crowdingPhi) ** 2);
    const clear = Math.max(0, h - solids);
    const cv = below ? (this.task.uneven ?? 0) : 0;
    let x = 0;
    let y = 0;
    let z = 0;
    for (let i = 0; i < BANDS; i++) {
      let k = clear * binderK[i]!;
      let s = 0;
      for (let j = 0; j < set.length; j++) {
        const depth = this.depths[set[j]!]!;
        const a = um[j]! * fit;
        k += a * depth.k[i]!;
        s += a * (depth.s[i]! + crowd * depth.crowded[i]!);
      }
      let v: number;
      if (!below) {
        const q = k / (s + 1e-12);
        v = this.outside(1 / (1 + q + Math.sqrt(q * q + 2 * q)));
      } else if (cv === 0) v = this.outside(glazed(k, s, below[i]!));
      else
        v =
          (this.outside(glazed(k * (1 - cv), s * (1 - cv), below[i]!)) +
            this.outside(glazed(k * (1 + cv), s * (1 + cv), below[i]!))) /
          2;
      x += v * D65_2.X[i]!;
      y += v * D65_2.Y[i]!;
      z += v * D65_2.Z[i]!;
    }
    return labOfXyz([x, y, z], WHITE);
  }
}

/** Sum of amounts. */
export const sumOf = (um: ArrayLike<number>): number => {
  let sum = 0;
  for (let i = 0; i < um.length; i++) sum += um[i]!;
  return sum;
};
