import { remembered } from "../../base/record/remembered";
import { straight } from "../../geometry/curve/bezier";
import { type Contour, contourOf } from "../../geometry/curve/contour";
import { curveThrough } from "../../geometry/curve/spline";
import type { Handle, OutlineNode } from "../design/schema";

/** The smooth run of the handle's outline from its first node round the butt to its last. */
export function handleCurve(nodes: readonly OutlineNode[]) {
  return curveThrough(nodes.map((n) => ({ x: n.xMm, y: n.yMm, corner: n.corner })));
}

const outlineThrough = remembered((nodes: readonly OutlineNode[]): Contour => {
  const run = handleCurve(nodes);
  if (run.length === 0) return contourOf([]);
  return contourOf([...run, straight(run[run.length - 1].d, run[0].a)]);
});

/** The handle's outline, closed by its front face. */
export function handleOutline(handle: Pick<Handle, "outline">): Contour {
  return outlineThrough(handle.outline);
}
