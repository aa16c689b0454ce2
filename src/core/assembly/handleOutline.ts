import { straight } from "../curve/bezier";
import { type Contour, contourOf } from "../curve/contour";
import { curveThrough } from "../curve/spline";
import type { Design, OutlineNode } from "../design/schema";

/** The smooth run of the handle's outline from its first node round the butt to its last. */
export function handleCurve(nodes: readonly OutlineNode[]) {
  return curveThrough(nodes.map((n) => ({ x: n.xMm, y: n.yMm, corner: n.corner })));
}

/** The handle's outline, closed by its front face. */
export function handleOutline(handle: Design["handle"]): Contour {
  const run = handleCurve(handle.outline);
  if (run.length === 0) return contourOf([]);
  return contourOf([...run, straight(run[run.length - 1].d, run[0].a)]);
}
