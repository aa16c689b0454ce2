import { ROUNDING } from "../../base/tolerances";
import { type Cubic, type Point, straight } from "./bezier";

/** A point that a curve passes through, rounded or at a corner. */
export interface Knot extends Point {
  readonly corner: boolean;
}

/**
 * The open curve through the knots: centripetal Catmull–Rom, as cubics, broken at corners. It neither loops nor
 * overshoots between unevenly spaced knots. Fewer than two knots give no segments; coincident neighbours are skipped.
 * @see Yuksel, Schaefer, Keyser, "Parameterization and applications of Catmull–Rom curves", CAD 43 (2011).
 */
export function curveThrough(knots: readonly Knot[]): Cubic[] {
  const k = knots.filter(
    (p, i) => i === 0 || Math.hypot(p.x - knots[i - 1].x, p.y - knots[i - 1].y) > ROUNDING,
  );
  const segments: Cubic[] = [];
  for (let i = 0; i + 1 < k.length; i++) {
    const before = i > 0 && !k[i].corner ? k[i - 1] : null;
    const after = i + 2 < k.length && !k[i + 1].corner ? k[i + 2] : null;
    segments.push(segment(before, k[i], k[i + 1], after));
  }
  return segments;
}

function segment(before: Point | null, a: Point, d: Point, after: Point | null): Cubic {
  const b = before && handle(before, a, d);
  const c = after && handle(after, d, a);
  if (b && c) return { a, b, c, d };
  // One free end: the quadratic that keeps the other end's tangent.
  if (c) return { a, b: toward(a, beyond(d, c)), c, d };
  if (b) return { a, b, c: toward(d, beyond(a, b)), d };
  return straight(a, d);
}

/** The control point beside `at`, on the side of `next`, of a centripetal Catmull–Rom through previous, at, next. */
function handle(previous: Point, at: Point, next: Point): Point {
  const d1 = Math.sqrt(Math.hypot(at.x - previous.x, at.y - previous.y));
  const d2 = Math.sqrt(Math.hypot(next.x - at.x, next.y - at.y));
  const mix = (p: number, q: number, r: number) =>
    (d1 * d1 * r - d2 * d2 * p + (2 * d1 * d1 + 3 * d1 * d2 + d2 * d2) * q) / (3 * d1 * (d1 + d2));
  return { x: mix(previous.x, at.x, next.x), y: mix(previous.y, at.y, next.y) };
}

function beyond(end: Point, control: Point): Point {
  return { x: end.x + 1.5 * (control.x - end.x), y: end.y + 1.5 * (control.y - end.y) };
}

function toward(end: Point, middle: Point): Point {
  return { x: end.x + (2 / 3) * (middle.x - end.x), y: end.y + (2 / 3) * (middle.y - end.y) };
}
