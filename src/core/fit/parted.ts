import { polyline } from "../curve/crossing";
import type { CurvePoint, Lengthwise } from "../design/schema";
import { closedOutline } from "../layout/halves";
import type { Layout } from "../layout/layout";
import { lengthwiseOutlines } from "../layout/lengthwise";
import { clamp } from "../number";
import { INSIDE_MM, SAME_PLACE_MM } from "../tolerances";

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
    const ys = outline.cut(clamp(x, rear + INSIDE_MM, front - INSIDE_MM));
    return ys.length < 2 || y < ys[0] - SAME_PLACE_MM || y > ys[ys.length - 1] + SAME_PLACE_MM;
  });
}
