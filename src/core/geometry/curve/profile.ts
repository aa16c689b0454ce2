/** A function of x that passes through points, each piece a cubic. */
export interface Profile {
  readonly knots: readonly number[];
  /** Value at x; constant beyond the ends. */
  at(x: number): number;
}

/**
 * The smooth profile through (x, v) points: monotone between neighbours, so it never bulges past a point that was
 * set. Points may come in any order; of several at one x the last counts. No points give zero everywhere.
 * @see Fritsch and Carlson, SIAM J. Numer. Anal. 17 (1980), with Butland's harmonic mean for the slopes.
 */
export function profileThrough(points: readonly { readonly x: number; readonly v: number }[]): Profile {
  const byX = new Map(points.map((p) => [p.x, p.v]));
  const xs = [...byX.keys()].sort((a, b) => a - b);
  const vs = xs.map((x) => byX.get(x)!);
  const n = xs.length;
  if (n === 0) return { knots: [], at: () => 0 };
  if (n === 1) return { knots: xs, at: () => vs[0] };
  const h = xs.slice(1).map((x, i) => x - xs[i]);
  const rise = h.map((dx, i) => (vs[i + 1] - vs[i]) / dx);
  const slope = xs.map((_, i) => {
    if (i === 0) return endSlope(rise[0], rise[1] ?? rise[0], h[0], h[1] ?? h[0]);
    if (i === n - 1) return endSlope(rise[n - 2], rise[n - 3] ?? rise[n - 2], h[n - 2], h[n - 3] ?? h[n - 2]);
    const [l, r] = [rise[i - 1], rise[i]];
    if (!(l * r > 0)) return 0;
    const w1 = 2 * h[i] + h[i - 1];
    const w2 = h[i] + 2 * h[i - 1];
    return (w1 + w2) / (w1 / l + w2 / r);
  });
  const at = (x: number): number => {
    if (!(x > xs[0])) return vs[0];
    if (x >= xs[n - 1]) return vs[n - 1];
    let i = 0;
    while (x >= xs[i + 1]) i++;
    const t = (x - xs[i]) / h[i];
    const u = 1 - t;
    return (
      vs[i] * u * u * (1 + 2 * t) +
      vs[i + 1] * t * t * (3 - 2 * t) +
      h[i] * t * u * (slope[i] * u - slope[i + 1] * t)
    );
  };
  return { knots: xs, at };
}

/** Three-point end slope, kept monotone. */
function endSlope(near: number, far: number, hNear: number, hFar: number): number {
  const s = ((2 * hNear + hFar) * near - hNear * far) / (hNear + hFar);
  if (s * near <= 0) return 0;
  if (near * far <= 0 && Math.abs(s) > 3 * Math.abs(near)) return 3 * near;
  return s;
}
