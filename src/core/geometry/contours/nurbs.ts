import type { Point } from "../curve/bezier";

/** A B-spline as drawing files have it: weights left out are all one. */
export interface BSpline {
  readonly degree: number;
  readonly knots: readonly number[];
  readonly control: readonly Point[];
  readonly weights?: readonly number[];
}

/** Whether the numbers of knots, control points and degree belong together, and the knots never fall. */
export function isSound({ degree, knots, control, weights }: BSpline): boolean {
  return (
    Number.isInteger(degree) &&
    degree >= 1 &&
    degree <= 12 &&
    control.length > degree &&
    knots.length === control.length + degree + 1 &&
    knots.every((k, i) => Number.isFinite(k) && (i === 0 || k >= knots[i - 1])) &&
    (weights === undefined || (weights.length === control.length && weights.every((w) => w > 0)))
  );
}

/**
 * The place of a B-spline at a parameter, by de Boor's algorithm on weighted points.
 * @see Piegl and Tiller, The NURBS Book, 2nd edition, chapters 2 and 4.
 */
export function splineAt({ degree, knots, control, weights }: BSpline, t: number): Point {
  const span = spanAt(knots, degree, control.length - 1, t);
  const d = Array.from({ length: degree + 1 }, (_, j) => {
    const i = j + span - degree;
    const w = weights?.[i] ?? 1;
    return [control[i].x * w, control[i].y * w, w];
  });
  for (let r = 1; r <= degree; r++)
    for (let j = degree; j >= r; j--) {
      const i = j + span - degree;
      const room = knots[i + degree - r + 1] - knots[i];
      const a = room > 0 ? (t - knots[i]) / room : 0;
      d[j] = d[j].map((v, k) => (1 - a) * d[j - 1][k] + a * v);
    }
  const [x, y, w] = d[degree];
  return { x: x / w, y: y / w };
}

/** The stretch between two knots that a parameter lies in, by halving: the last of those that begin there. */
function spanAt(knots: readonly number[], first: number, last: number, t: number): number {
  let [low, high] = [first, last];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (t >= knots[middle]) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** Places along a B-spline from its first to its last, so many between two knots. */
export function alongSpline(spline: BSpline, perSpan: number): Point[] {
  const { degree, knots, control } = spline;
  const ends = knots.slice(degree, control.length + 1).filter((k, i, all) => i === 0 || k > all[i - 1]);
  return ends.flatMap((to, i) => {
    if (i === 0) return [splineAt(spline, to)];
    const from = ends[i - 1];
    return Array.from({ length: perSpan }, (_, k) =>
      splineAt(spline, from + ((to - from) * (k + 1)) / perSpan),
    );
  });
}
