import { CURVE_PARAMETER } from "../../base/tolerances";

/** Parameters nearer to an end of a curve than this are its end. */
const AT_END = 1e-12;
/** A coefficient that is less than this share of the largest is nought. */
const NOTHING = 1e-14;

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A cubic Bézier segment from `a` to `d` with control points `b` and `c`, mm. */
export interface Cubic {
  readonly a: Point;
  readonly b: Point;
  readonly c: Point;
  readonly d: Point;
}

/** One coordinate of a cubic at t, by Bernstein's form. */
function bernstein(a: number, b: number, c: number, d: number, t: number): number {
  const u = 1 - t;
  return u * u * u * a + 3 * u * u * t * b + 3 * u * t * t * c + t * t * t * d;
}

/** x at t in [0, 1]. */
export function cubicX(s: Cubic, t: number): number {
  return bernstein(s.a.x, s.b.x, s.c.x, s.d.x, t);
}

/** y at t in [0, 1]. */
export function cubicY(s: Cubic, t: number): number {
  return bernstein(s.a.y, s.b.y, s.c.y, s.d.y, t);
}

function hodograph(a: number, b: number, c: number, d: number, t: number): number {
  const u = 1 - t;
  return 3 * (u * u * (b - a) + 2 * u * t * (c - b) + t * t * (d - c));
}

/** dx/dt at t. */
export function cubicDx(s: Cubic, t: number): number {
  return hodograph(s.a.x, s.b.x, s.c.x, s.d.x, t);
}

/** dy/dt at t. */
export function cubicDy(s: Cubic, t: number): number {
  return hodograph(s.a.y, s.b.y, s.c.y, s.d.y, t);
}

/** The straight segment from `a` to `d`. */
export function straight(a: Point, d: Point): Cubic {
  const at = (t: number): Point => ({ x: a.x + (d.x - a.x) * t, y: a.y + (d.y - a.y) * t });
  return { a, b: at(1 / 3), c: at(2 / 3), d };
}

/** Parameters in (0, 1) where the segment turns back in x: the roots of x′(t), ascending. */
export function turnsInX(s: Cubic): number[] {
  const d0 = s.b.x - s.a.x;
  const d1 = s.c.x - s.b.x;
  const d2 = s.d.x - s.c.x;
  return quadraticRoots(d0 - 2 * d1 + d2, 2 * (d1 - d0), d0).filter((t) => t > AT_END && t < 1 - AT_END);
}

/** Real roots of at² + bt + c, ascending; none where every t is a root. */
export function quadraticRoots(a: number, b: number, c: number): number[] {
  const size = Math.max(Math.abs(a), Math.abs(b), Math.abs(c));
  if (!(size > 0)) return [];
  if (Math.abs(a) < NOTHING * size) return Math.abs(b) < NOTHING * size ? [] : [-c / b];
  const disc = b * b - 4 * a * c;
  if (disc < 0) return [];
  // Citardauq form for the small root: no cancellation.
  const q = -0.5 * (b + (b < 0 ? -1 : 1) * Math.sqrt(disc));
  const roots = q === 0 ? [0] : [q / a, c / q];
  return roots.sort((l, r) => l - r);
}

/**
 * The parameter in [t0, t1] where the segment reaches x, by Newton kept inside a shrinking bracket. The segment must
 * be monotone in x there; an x outside answers the nearer end.
 */
export function parameterAtX(s: Cubic, t0: number, t1: number, x: number): number {
  const x0 = cubicX(s, t0);
  const x1 = cubicX(s, t1);
  const rising = x1 > x0;
  if (rising ? x <= x0 : x >= x0) return t0;
  if (rising ? x >= x1 : x <= x1) return t1;
  let lo = t0;
  let hi = t1;
  let t = t0 + ((t1 - t0) * (x - x0)) / (x1 - x0);
  for (let i = 0; i < 60; i++) {
    const f = cubicX(s, t) - x;
    if (f > 0 === rising) hi = t;
    else lo = t;
    const slope = cubicDx(s, t);
    let next = t - f / slope;
    if (!(next > lo && next < hi)) next = (lo + hi) / 2;
    if (Math.abs(next - t) < CURVE_PARAMETER) return next;
    t = next;
  }
  return t;
}
