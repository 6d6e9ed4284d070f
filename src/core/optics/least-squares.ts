import { choleskyFactor, choleskyInverse, choleskySolve } from '../learn/cholesky';

export interface LeastSquares {
  at: Float64Array;
  /** Half the sum of squares. */
  cost: number;
  /** Standard deviations of the parameters, where the problem has as many residuals as that asks; else null. */
  sd: Float64Array | null;
}

/**
 * Levenberg-Marquardt with differences for derivatives: Levenberg 1944, Marquardt 1963. For a handful of parameters.
 * @param residuals of parameters; they should be of order one
 * @param step size of the differences, in units of each parameter
 */
export function leastSquares(
  residuals: (x: Float64Array) => Float64Array,
  from: ArrayLike<number>,
  { steps, step }: { steps: number; step: number },
): LeastSquares {
  const n = from.length;
  let x = Float64Array.from(from);
  let r = residuals(x);
  const half = (v: Float64Array) => 0.5 * v.reduce((s, e) => s + e * e, 0);
  let cost = half(r);
  let damping = 1e-3;
  let normal = new Float64Array(n * n);
  for (let k = 0; k < steps; k++) {
    const slopes = Array.from({ length: n }, (_, j) => {
      const moved = x.slice();
      moved[j]! += step;
      return residuals(moved).map((v, i) => (v - r[i]!) / step);
    });
    normal = new Float64Array(n * n);
    const gradient = new Float64Array(n);
    for (let a = 0; a < n; a++) {
      for (let i = 0; i < r.length; i++) gradient[a]! -= slopes[a]![i]! * r[i]!;
      for (let b = 0; b <= a; b++) {
        let sum = 0;
        for (let i = 0; i < r.length; i++) sum += slopes[a]![i]! * slopes[b]![i]!;
        normal[a * n + b] = sum;
        normal[b * n + a] = sum;
      }
    }
    let better = false;
    for (let tries = 0; tries < 8 && !better; tries++) {
      const damped = normal.slice();
      for (let a = 0; a < n; a++) damped[a * n + a]! += damping * (normal[a * n + a]! + 1e-9);
      const l = choleskyFactor(damped, n);
      if (l) {
        const move = choleskySolve(l, n, gradient);
        const next = x.map((v, i) => v + move[i]!);
        const its = residuals(next);
        const itsCost = half(its);
        if (itsCost < cost) {
          better = true;
          const gained = cost - itsCost;
          [x, r, cost] = [next, its, itsCost];
          damping /= 5;
          if (gained < 1e-12 * (1 + cost)) return { at: x, cost, sd: spread(normal, n) };
          break;
        }
      }
      damping *= 6;
    }
    if (!better) break;
  }
  return { at: x, cost, sd: spread(normal, n) };
}

function spread(normal: Float64Array, n: number): Float64Array | null {
  const l = choleskyFactor(normal, n);
  if (!l) return null;
  const inverse = choleskyInverse(l, n);
  return Float64Array.from({ length: n }, (_, i) => Math.sqrt(inverse[i * n + i]!));
}
