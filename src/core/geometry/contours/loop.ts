import type { Point } from "../curve/bezier";

/**
 * A place on a closed outline, and how the piece from it to the next bends: the tangent of a quarter of the arc's angle,
 * 0 straight, + where it turns to the left on its way (counter-clockwise).
 */
export interface Bend extends Point {
  readonly bulge: number;
}

/** A closed outline of straight and round pieces; the last leads to the first. */
export type Loop = readonly Bend[];

/** The round piece from a to b of a bulge: centre, radius and angles in radians; null of a straight one. */
export function arcOf(a: Bend, b: Point) {
  if (a.bulge === 0) return null;
  const chord = Math.hypot(b.x - a.x, b.y - a.y);
  if (!(chord > 0)) return null;
  const angle = 4 * Math.atan(a.bulge);
  const radius = chord / 2 / Math.sin(Math.abs(angle) / 2);
  // From the chord's middle to the centre, to the left of the way where the arc turns left by less than half round.
  const off = chord / 2 / Math.tan(angle / 2);
  const [ux, uy] = [(b.x - a.x) / chord, (b.y - a.y) / chord];
  const centre = { x: (a.x + b.x) / 2 - uy * off, y: (a.y + b.y) / 2 + ux * off };
  const from = Math.atan2(a.y - centre.y, a.x - centre.x);
  return { centre, radius, from, to: from + angle };
}

/** Enclosed area, mm², + where it runs counter-clockwise: the chords', and the segments of circles over them. */
export function signedArea(loop: Loop): number {
  let twice = 0;
  loop.forEach((a, i) => {
    const b = loop[(i + 1) % loop.length];
    twice += a.x * b.y - b.x * a.y;
    const round = arcOf(a, b);
    if (!round) return;
    const angle = round.to - round.from;
    twice += round.radius ** 2 * (angle - Math.sin(angle));
  });
  return twice / 2;
}

/** Chords along an outline that stay within `sagittaMm` of its arcs. */
export function flattened(loop: Loop, sagittaMm: number): Point[] {
  return loop.flatMap((a, i): Point[] => {
    const round = arcOf(a, loop[(i + 1) % loop.length]);
    if (!round) return [{ x: a.x, y: a.y }];
    const angle = round.to - round.from;
    const most = 2 * Math.acos(Math.max(-1, 1 - sagittaMm / round.radius));
    const n = Math.max(2, Math.ceil(Math.abs(angle) / most));
    return Array.from({ length: n }, (_, k) => {
      const at = round.from + (angle * k) / n;
      return {
        x: round.centre.x + round.radius * Math.cos(at),
        y: round.centre.y + round.radius * Math.sin(at),
      };
    });
  });
}

/** The outline run the other way round. */
export function reversed(loop: Loop): Loop {
  return loop.map((_, i) => {
    const at = loop[(loop.length - i) % loop.length];
    const before = loop[(loop.length - i - 1 + loop.length) % loop.length];
    return { x: at.x, y: at.y, bulge: 0 - before.bulge };
  });
}

/** The outline with each place moved by a map that keeps shapes: turned, shifted, scaled alike, or mirrored. */
export function mapped(loop: Loop, to: (p: Point) => Point, mirrors: boolean): Loop {
  return loop.map((b) => ({ ...to(b), bulge: mirrors ? 0 - b.bulge : b.bulge }));
}

/** A loop of straight pieces. */
export const straightLoop = (points: readonly Point[]): Loop =>
  points.map(({ x, y }) => ({ x, y, bulge: 0 }));

/** A whole circle as a loop of two halves. */
export const circleLoop = (x: number, y: number, radiusMm: number): Loop => [
  { x: x - radiusMm, y, bulge: 1 },
  { x: x + radiusMm, y, bulge: 1 },
];

/** The box round loops, arcs included, mm; null of none. */
export function boxOf(loops: readonly Loop[]) {
  const points = loops.flatMap((l) => flattened(l, BOX_SAGITTA_MM));
  if (points.length === 0) return null;
  let [x0, y0, x1, y1] = [points[0].x, points[0].y, points[0].x, points[0].y];
  for (const { x, y } of points) {
    x0 = Math.min(x0, x);
    x1 = Math.max(x1, x);
    y0 = Math.min(y0, y);
    y1 = Math.max(y1, y);
  }
  return { x0, y0, x1, y1 };
}

/** How far a box may miss the outermost of an arc, mm. */
const BOX_SAGITTA_MM = 0.005;
