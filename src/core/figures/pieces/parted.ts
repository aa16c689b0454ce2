import { clamp } from "../../base/number";
import { INSIDE_MM, SAME_PLACE_MM } from "../../base/tolerances";
import { insideBy } from "../../geometry/curve/contour";
import { polyline } from "../../geometry/curve/crossing";
import type { CurvePoint, Lengthwise } from "../../knife/design/schema";
import { closedOutline } from "../../knife/layout/halves";
import type { Layout } from "../../knife/layout/layout";
import { lengthwiseOutlines } from "../../knife/layout/lengthwise";

/** Chords to a segment of a curve that is measured. */
const CHORDS = 24;

/** Length of a joint along the handle over so many stations, mm. */
export function alongJoint(lengthwise: Lengthwise, [from, to]: readonly [number, number]): number {
  const points = polyline(lengthwiseOutlines(lengthwise).curve, CHORDS);
  let length = 0;
  for (let i = 0; i + 1 < points.length; i++) {
    const [p, q] = [points[i], points[i + 1]];
    const within = Math.min(q.x, to) - Math.max(p.x, from);
    if (within > 0) length += (within / (q.x - p.x)) * Math.hypot(q.x - p.x, q.y - p.y);
  }
  return length;
}

/** Whether an outline stands out anywhere beyond that of the handle, which is the tang's. */
export function standsOut(points: readonly CurvePoint[], { outline }: Layout): boolean {
  const [rear, front] = outline.xRange;
  return polyline(closedOutline(points).cubics, CHORDS).some(({ x, y }) => {
    if (x < rear - SAME_PLACE_MM || x > front + SAME_PLACE_MM) return true;
    return insideBy(outline, clamp(x, rear + INSIDE_MM, front - INSIDE_MM), y) < -SAME_PLACE_MM;
  });
}
