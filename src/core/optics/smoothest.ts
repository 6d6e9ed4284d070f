import { D65_2 } from '@/data/cie';
import { choleskyFactor, choleskySolve } from '../learn/cholesky';
import { whiteOf, xyzOf, xyzOfLab, type Lab } from './colour';
import { BANDS, type Spectrum } from './spectrum';

const STEPS = 200;
/** In units of z, where the curve is as smooth as it gets. */
const STILL = 1e-7;
const CLOSE = 1e-9;

/**
 * The smoothest reflectance that has a colour: least sum of (z[i+1] - z[i])^2 with R = (1 + tanh z)/2 and the three
 * tristimulus values as they are. Burns, Color Res. Appl. 45 (2020); from memory. Newton on the equations of Lagrange.
 * Null where no reflectance between 0 and 1 has the colour, or none is found.
 * @returns the seen reflectance
 */
export function smoothestSpectrum(lab: Lab): Spectrum | null {
  const white = whiteOf(D65_2);
  const wanted = xyzOfLab(lab);
  const weights = [D65_2.X, D65_2.Y, D65_2.Z];
  const start = Math.atanh(2 * Math.min(0.99, Math.max(0.005, wanted[1] / white[1])) - 1);
  const z = new Float64Array(BANDS).fill(start);
  const lambda = [0, 0, 0];
  let moved = Infinity;
  for (let step = 0; step < STEPS; step++) {
    const r = z.map((v) => (1 + Math.tanh(v)) / 2);
    const slope = r.map((v) => 2 * v * (1 - v));
    const curve = r.map((v, i) => 2 * slope[i]! * (1 - 2 * v));
    const xyz = xyzOf(r);
    const miss = wanted.map((w, c) => w - xyz[c]!);
    if (moved < STILL && Math.max(...miss.map(Math.abs)) < CLOSE) return r;
    // Bordered system: [H J'; J 0] [dz; lambda] = [-D z; miss]; H is made positive for the factor.
    const h = new Float64Array(BANDS * BANDS);
    const g = new Float64Array(BANDS);
    for (let i = 0; i < BANDS; i++) {
      const ends = (i > 0 ? 1 : 0) + (i < BANDS - 1 ? 1 : 0);
      const bend = weights.reduce((sum, w, c) => sum + lambda[c]! * w[i]! * curve[i]!, 0);
      h[i * BANDS + i] = 2 * ends + Math.max(0, bend) + 1e-6;
      g[i] = 2 * ends * z[i]!;
      if (i > 0) {
        h[i * BANDS + i - 1] = -2;
        g[i]! -= 2 * z[i - 1]!;
      }
      if (i < BANDS - 1) {
        h[i * BANDS + i + 1] = -2;
        g[i]! -= 2 * z[i + 1]!;
      }
    }
    const l = choleskyFactor(h, BANDS);
    if (!l) return null;
    const rows = weights.map((w) => Float64Array.from(w, (v, i) => v * slope[i]!));
    const solved = rows.map((row) => choleskySolve(l, BANDS, row));
    const free = choleskySolve(l, BANDS, g);
    const a = new Float64Array(9);
    const b = new Float64Array(3);
    const dot = (p: Float64Array, q: Float64Array) => p.reduce((s, v, i) => s + v * q[i]!, 0);
    for (let c = 0; c < 3; c++) {
      for (let d = 0; d < 3; d++) a[c * 3 + d] = dot(rows[c]!, solved[d]!);
      b[c] = -(miss[c]! + dot(rows[c]!, free));
    }
    const l3 = choleskyFactor(a, 3);
    if (!l3) return null;
    const next = choleskySolve(l3, 3, b);
    // dz = -H^-1 (g + J' lambda), with lambda such that J dz = miss.
    const move = z.map((_, i) => -free[i]! - next.reduce((s, v, c) => s + v * solved[c]![i]!, 0));
    const longest = Math.max(...move.map(Math.abs));
    const damp = longest > 2 ? 2 / longest : 1;
    moved = longest;
    for (let i = 0; i < BANDS; i++) z[i]! += damp * move[i]!;
    next.forEach((v, c) => (lambda[c] = v));
  }
  return null;
}
