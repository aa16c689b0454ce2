import { ROUNDING } from "../../base/tolerances";
import type { Point } from "../../geometry/curve/bezier";

/** A perspective map of the plane: nine numbers, row by row, of homogeneous coordinates; the last is 1. */
export type Homography = readonly number[];

/**
 * The map that takes four places to four others; null where three of them lie in one line. Solved as eight linear
 * equations. @see Hartley and Zisserman, Multiple View Geometry, 2nd edition, section 4.1.
 */
export function homography(from: readonly Point[], to: readonly Point[]): Homography | null {
  const rows = from.flatMap((p, i) => {
    const q = to[i];
    return [
      [p.x, p.y, 1, 0, 0, 0, -q.x * p.x, -q.x * p.y, q.x],
      [0, 0, 0, p.x, p.y, 1, -q.y * p.x, -q.y * p.y, q.y],
    ];
  });
  const n = 8;
  for (let c = 0; c < n; c++) {
    let pivot = c;
    for (let r = c + 1; r < n; r++) if (Math.abs(rows[r][c]) > Math.abs(rows[pivot][c])) pivot = r;
    if (!(Math.abs(rows[pivot][c]) > ROUNDING)) return null;
    [rows[c], rows[pivot]] = [rows[pivot], rows[c]];
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const by = rows[r][c] / rows[c][c];
      for (let k = c; k <= n; k++) rows[r][k] -= by * rows[c][k];
    }
  }
  const solved = rows.map((row, i) => row[n] / row[i]);
  return solved.every(Number.isFinite) ? [...solved, 1] : null;
}

/** Where a place goes. */
export function projected(h: Homography, { x, y }: Point): Point {
  const w = h[6] * x + h[7] * y + h[8];
  return { x: (h[0] * x + h[1] * y + h[2]) / w, y: (h[3] * x + h[4] * y + h[5]) / w };
}
