/** Nodes and weights for the expectation over a standard normal variable: E f(X) = sum weight f(node). */
export interface QuadratureNode {
  node: number;
  weight: number;
}

const NODES = 21;
const NEWTON_STEPS = 60;
const CLOSE = 1e-14;

/** Orthonormal Hermite polynomials of degree n and n - 1 at x, for the weight exp(-x^2). */
function hermite(n: number, x: number): [number, number] {
  let last = 0;
  let now = Math.PI ** -0.25;
  for (let k = 0; k < n; k++) {
    const next = x * Math.sqrt(2 / (k + 1)) * now - Math.sqrt(k / (k + 1)) * last;
    last = now;
    now = next;
  }
  return [now, last];
}

/**
 * Roots from the largest down; each is sought below the last by Newton's method on the polynomial divided by the
 * roots that are known. Weights 1/(n h_{n-1}^2), Abramowitz & Stegun 25.4.46, scaled to the standard normal.
 */
function nodes(n: number): QuadratureNode[] {
  const roots: number[] = [];
  let x = Math.sqrt(2 * n + 1);
  for (let i = 0; i < n; i++) {
    for (let step = 0; step < NEWTON_STEPS; step++) {
      const [value, before] = hermite(n, x);
      const slope = Math.sqrt(2 * n) * before;
      const deflated = roots.reduce((s, root) => s + 1 / (x - root), 0);
      const by = value / (slope - value * deflated);
      x -= by;
      if (Math.abs(by) < CLOSE * Math.max(1, Math.abs(x))) break;
    }
    roots.push(x);
    x -= CLOSE + 0.1;
  }
  return roots.map((root) => {
    const [, before] = hermite(n, root);
    return { node: Math.SQRT2 * root, weight: 1 / (n * before * before) / Math.sqrt(Math.PI) };
  });
}

export const GAUSS_HERMITE: readonly QuadratureNode[] = nodes(NODES);
