import { clamp } from "../../base/number";
import { type Cubic, cubicX, cubicY, type Point } from "./bezier";

/** Points along a run of cubics, `perSegment` chords each, ends included. */
export function polyline(cubics: readonly Cubic[], perSegment: number): Point[] {
  const points: Point[] = cubics.length > 0 ? [cubics[0].a] : [];
  for (const c of cubics) {
    for (let i = 1; i <= perSegment; i++)
      points.push({ x: cubicX(c, i / perSegment), y: cubicY(c, i / perSegment) });
  }
  return points;
}

/**
 * The first place where a closed outline crosses itself, or null. Works on chords (16 a segment), so a crossing
 * shallower than a chord's sagitta, a few hundredths of a millimetre, may pass.
 */
export function selfCrossing(cubics: readonly Cubic[]): Point | null {
  const each = 16;
  const p = polyline(cubics, each);
  const n = p.length - 1;
  const apart = cubics.map((a) => cubics.map((b) => boxesApart(a, b)));
  for (let i = 0; i < n; i++) {
    for (let j = i + 2; j < n; j++) {
      const segment = Math.floor(j / each);
      if (apart[Math.floor(i / each)][segment]) {
        j = (segment + 1) * each - 1;
        continue;
      }
      if (i === 0 && j === n - 1) continue;
      const at = chordsMeet(p[i], p[i + 1], p[j], p[j + 1]);
      if (at) return at;
    }
  }
  return null;
}

/** Whether two segments cannot meet, by the boxes round their control points. */
function boxesApart(p: Cubic, q: Cubic): boolean {
  const span = (c: Cubic, k: "x" | "y") => {
    const v = [c.a[k], c.b[k], c.c[k], c.d[k]];
    return [Math.min(...v), Math.max(...v)];
  };
  return (["x", "y"] as const).some((k) => {
    const [a, b] = [span(p, k), span(q, k)];
    return a[1] < b[0] || b[1] < a[0];
  });
}

/** Where the chords ab and cd cross between their ends, or null. */
export function chordsMeet(a: Point, b: Point, c: Point, d: Point): Point | null {
  if (Math.max(a.x, b.x) < Math.min(c.x, d.x) || Math.max(c.x, d.x) < Math.min(a.x, b.x)) return null;
  const side = (p: Point, q: Point, r: Point) => (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x);
  const s1 = side(a, b, c);
  const s2 = side(a, b, d);
  const s3 = side(c, d, a);
  const s4 = side(c, d, b);
  // A chord that ends on the other counts on one side only, so that a crossing at a joint is found once.
  if (s1 > 0 === s2 > 0 || s3 > 0 === s4 > 0) return null;
  const t = s3 / (s3 - s4);
  return { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
}

/** Enclosed area of a closed chord line, positive whichever way it runs. */
export function enclosedArea(points: readonly Point[]): number {
  let twice = 0;
  for (let i = 0; i < points.length; i++) {
    const a = points[i];
    const b = points[(i + 1) % points.length];
    twice += a.x * b.y - b.x * a.y;
  }
  return Math.abs(twice) / 2;
}

/** Length along a chord line. */
export function lengthOf(points: readonly Point[]): number {
  let sum = 0;
  for (let i = 1; i < points.length; i++)
    sum += Math.hypot(points[i].x - points[i - 1].x, points[i].y - points[i - 1].y);
  return sum;
}

/** Distance from a point to the chord between a and b. */
export function distanceToChord(a: Point, b: Point, p: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const length2 = dx ** 2 + dy ** 2;
  const t = length2 > 0 ? clamp(((p.x - a.x) * dx + (p.y - a.y) * dy) / length2, 0, 1) : 0;
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
}

/** Least distance from a point to a chord line; −distance when the point lies inside the closed line. */
export function signedDistance(points: readonly Point[], p: Point): number {
  let least = Number.POSITIVE_INFINITY;
  let inside = false;
  for (let i = 0; i < points.length; i++) {
    const a = points[i];
    const b = points[(i + 1) % points.length];
    least = Math.min(least, distanceToChord(a, b, p));
    if (a.y > p.y !== b.y > p.y && p.x < a.x + ((p.y - a.y) / (b.y - a.y)) * (b.x - a.x)) inside = !inside;
  }
  return inside ? -least : least;
}
