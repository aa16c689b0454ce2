import type { Point } from "../../geometry/curve/bezier";

/** Points of a circle lie this near to it, mm, or within this share of its radius. */
const ROUND_MM = 0.03;
const ROUND_SHARE = 0.01;
/** A circle is recognised by so many points at least. */
const FEWEST = 8;

/**
 * The circle through points, by least squares on x² + y² + ax + by + c; null where they are few or do not lie on one.
 * `withinMm` is how far points may lie off it; where stretches of the border are left out it `hasGaps`.
 * @see Kåsa, IEEE Trans. Instrum. Meas. 25 (1976).
 */
export function fitCircle(
  points: readonly Point[],
  withinMm?: number,
  hasGaps = false,
): { readonly x: number; readonly y: number; readonly radiusMm: number } | null {
  const n = points.length;
  if (n < FEWEST) return null;
  const mx = points.reduce((s, p) => s + p.x, 0) / n;
  const my = points.reduce((s, p) => s + p.y, 0) / n;
  let [xx, xy, yy, xr, yr, rr] = [0, 0, 0, 0, 0, 0];
  for (const p of points) {
    const [x, y] = [p.x - mx, p.y - my];
    const r = x * x + y * y;
    xx += x * x;
    xy += x * y;
    yy += y * y;
    xr += x * r;
    yr += y * r;
    rr += r;
  }
  const det = 2 * (xx * yy - xy * xy);
  if (!(Math.abs(det) > 0)) return null;
  const [u, v] = [(xr * yy - yr * xy) / det, (yr * xx - xr * xy) / det];
  const radiusMm = Math.sqrt(rr / n + u * u + v * v);
  const near = withinMm ?? Math.max(ROUND_MM, ROUND_SHARE * radiusMm);
  // The middles of chords as well: corners of a polygon lie on a circle too.
  const round = points.every((p, i) => {
    const q = points[(i + 1) % n];
    const middle = { x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 };
    return (hasGaps ? [p] : [p, middle]).every(
      (at) => Math.abs(Math.hypot(at.x - mx - u, at.y - my - v) - radiusMm) <= near,
    );
  });
  return round && Number.isFinite(radiusMm) && radiusMm > 0 ? { x: mx + u, y: my + v, radiusMm } : null;
}
