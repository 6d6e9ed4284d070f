/**
 * Symmetric matrices of a few dozen rows as flat arrays, row by row; only the lower half is read. A package was
 * tried first and took a third of the time of the whole learning in its accessors.
 */

/** The lower factor L of A = L L'; null when A is not positive definite. */
export function choleskyFactor(a: Float64Array, n: number): Float64Array | null {
  const l = new Float64Array(n * n);
  for (let i = 0; i < n; i++) {
    const ri = i * n;
    for (let j = 0; j <= i; j++) {
      const rj = j * n;
      let sum = a[ri + j]!;
      for (let k = 0; k < j; k++) sum -= l[ri + k]! * l[rj + k]!;
      if (i !== j) l[ri + j] = sum / l[rj + j]!;
      else if (sum > 0) l[ri + i] = Math.sqrt(sum);
      else return null;
    }
  }
  return l;
}

/** x of L L' x = b. */
export function choleskySolve(l: Float64Array, n: number, b: Float64Array): Float64Array {
  const x = Float64Array.from(b);
  for (let i = 0; i < n; i++) {
    let sum = x[i]!;
    for (let k = 0; k < i; k++) sum -= l[i * n + k]! * x[k]!;
    x[i] = sum / l[i * n + i]!;
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = x[i]!;
    for (let k = i + 1; k < n; k++) sum -= l[k * n + i]! * x[k]!;
    x[i] = sum / l[i * n + i]!;
  }
  return x;
}

/** The inverse of A = L L', whole. */
export function choleskyInverse(l: Float64Array, n: number): Float64Array {
  const inverse = new Float64Array(n * n);
  const unit = new Float64Array(n);
  for (let j = 0; j < n; j++) {
    unit[j] = 1;
    const column = choleskySolve(l, n, unit);
    unit[j] = 0;
    for (let i = 0; i < n; i++) inverse[i * n + j] = column[i]!;
  }
  return inverse;
}

/** Logarithm of the determinant of A = L L'. */
export function logDeterminant(l: Float64Array, n: number): number {
  let sum = 0;
  for (let i = 0; i < n; i++) sum += 2 * Math.log(l[i * n + i]!);
  return sum;
}
