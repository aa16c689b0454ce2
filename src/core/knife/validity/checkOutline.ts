import { SAME_PLACE_MM } from "../../base/tolerances";
import type { Point } from "../../geometry/curve/bezier";
import { enclosedArea, polyline, selfCrossing } from "../../geometry/curve/crossing";
import type { Design } from "../design/schema";
import type { Report } from "../parts/faults";
import { handleOutline } from "../shapes/handleOutline";

/** Points of an outline, or stations of thicknesses, are at least so far apart, mm: nearer ones are one that was set twice. */
const LEAST_APART_MM = 0.01;

/** Checks the handle's outline and gives it back as chords, for measuring distances to. */
export function checkOutline({ handle }: Design, report: Report): Point[] {
  const nodes = handle.outline;
  const first = nodes[0];
  const last = nodes[nodes.length - 1];
  for (const n of [first, last]) {
    if (Math.abs(n.xMm) > SAME_PLACE_MM) {
      report("error", "outline-front-open", {
        at: { x: n.xMm, y: n.yMm },
        subject: n.id,
        measured: n.xMm,
        limit: 0,
      });
    }
  }
  for (const n of nodes) {
    if (n.xMm > SAME_PLACE_MM && n !== first && n !== last) {
      report("error", "outline-ahead-of-front", {
        at: { x: n.xMm, y: n.yMm },
        subject: n.id,
        measured: n.xMm,
        limit: 0,
      });
    }
  }
  nodes.forEach((n, i) => {
    const next = nodes[i + 1];
    if (next && Math.hypot(next.xMm - n.xMm, next.yMm - n.yMm) < LEAST_APART_MM)
      report("error", "points-together", {
        at: { x: n.xMm, y: n.yMm },
        subject: next.id,
        limit: LEAST_APART_MM,
      });
  });
  handle.plan.forEach((p, i) => {
    const next = handle.plan[i + 1];
    if (!next) return;
    const more = { at: { x: next.xMm, y: 0 }, subject: next.id };
    if (handle.plan.slice(0, i + 1).some((q) => Math.abs(q.xMm - next.xMm) < LEAST_APART_MM))
      report("error", "points-together", { ...more, limit: LEAST_APART_MM });
    else if (next.xMm > p.xMm) report("warning", "points-out-of-order", more);
  });
  const { cubics } = handleOutline(handle);
  const chords = polyline(cubics, 24);
  const crossing = selfCrossing(cubics);
  if (crossing) report("error", "outline-crosses-itself", { at: crossing });
  if (!(first.yMm > last.yMm) || !(enclosedArea(chords) > 1)) {
    report("error", "outline-no-area", { at: { x: first.xMm, y: first.yMm } });
  }
  return chords;
}
