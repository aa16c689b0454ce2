/** A step of Newton's method that is less than this changes a node no more. */
const CONVERGED = 1e-15;

/** Nodes and weights of Gauss–Legendre quadrature on [−1, 1]. */
export interface GaussRule {
  readonly nodes: Float64Array;
  readonly weights: Float64Array;
}

const RULES = new Map<number, GaussRule>();

/**
 * The rule with n points (n ≥ 1), exact for polynomials to degree 2n − 1. Newton on the Legendre recurrence.
 * @see Abramowitz and Stegun, Handbook of Mathematical Functions, 25.4.29.
 */
export function gaussRule(n: number): GaussRule {
  const known = RULES.get(n);
  if (known) return known;
  const nodes = new Float64Array(n);
  const weights = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    let x = Math.cos((Math.PI * (i + 0.75)) / (n + 0.5));
    let slope = 1;
    for (let step = 0; step < 100; step++) {
      let p0 = 1;
      let p1 = x;
      for (let k = 2; k <= n; k++) [p0, p1] = [p1, ((2 * k - 1) * x * p1 - (k - 1) * p0) / k];
      slope = (n * (x * p1 - p0)) / (x * x - 1);
      const dx = p1 / slope;
      x -= dx;
      if (Math.abs(dx) < CONVERGED) break;
    }
    nodes[i] = n % 2 === 1 && i === (n - 1) / 2 ? 0 : x;
    weights[i] = 2 / ((1 - x * x) * slope * slope);
  }
  if (n === 1) weights[0] = 2;
  const rule = { nodes, weights };
  RULES.set(n, rule);
  return rule;
}
