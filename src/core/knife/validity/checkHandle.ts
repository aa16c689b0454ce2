import { ROUNDING, SAME_PLACE_MM } from "../../base/tolerances";
import type { Point } from "../../geometry/curve/bezier";
import { insideBy } from "../../geometry/curve/contour";
import { polyline } from "../../geometry/curve/crossing";
import { lineAt } from "../../geometry/solids/line";
import { fittingOf } from "../../kinds/guardFittings/registry";
import { handleModule } from "../constructions/handles/registry";
import { handleReach, lengthwiseOf } from "../design/handleParts";
import type { Design, Handle, SideGroove, Wrap } from "../design/schema";
import { grooveMiddle, hasEdge } from "../layout/grips";
import { layoutOf } from "../layout/layout";
import type { Report } from "../parts/faults";
import { barSizeAt } from "../shapes/bar";
import { handleOutline } from "../shapes/handleOutline";
import { lengthwiseOutlines } from "../shapes/lengthwise";
import { aheadOfEnd } from "../shapes/scaleEnd";
import { checkTextures } from "./checkTextures";

/** Thickness of the handle against what lies inside it, and where its pieces, joints and rings stand. */
export function checkHandle(design: Design, edge: readonly Point[], report: Report): void {
  const { handle } = design;
  if (handle.waist && !(handle.waist.wheelRadiusMm > handle.waist.chordMm / 2)) {
    const at = { x: handle.waist.xMm, y: 0 };
    const measured = handle.waist.wheelRadiusMm;
    report("error", "waist-wheel-too-small", { at, measured, limit: handle.waist.chordMm / 2 });
  }
  for (const wrap of handle.wraps) checkWrap(design, wrap, report);
  checkTextures(design, report);
  checkLengthwise(handle, report);
  for (const g of handle.grooves) {
    const { buttX, frontX } = layoutOf(design);
    const at = { x: g.xMm, y: 0 };
    if (g.xMm > frontX || g.xMm < buttX)
      report("error", "groove-off-handle", { at, subject: g.id, measured: g.xMm, limit: buttX });
    else checkGroove(design, g, report);
  }
  handleModule(handle).faults(handle, layoutOf(design), edge, report);
}

/** A groove stays in what covers the tang. */
function checkGroove(design: Design, g: SideGroove, report: Report): void {
  const layout = layoutOf(design);
  const { tang, handle } = design;
  const at = grooveMiddle(layout, g);
  const barHalf = tang.kind === "hidden" && at.x > -tang.lengthMm ? barSizeAt(tang, at.x).halfThickness : 0;
  const core = tang.kind === "hidden" ? barHalf : handle.kind === "bare" ? 0 : lineAt(layout.tangFace, at.x);
  for (const side of ["right", "left"] as const) {
    if (g.sides !== "both" && g.sides !== side) continue;
    const limit = layout.surfaceAt(at.x, at.y, side) - core;
    if (!(g.depthMm < limit)) {
      report("error", "groove-into-tang", { at, subject: g.id, measured: g.depthMm, limit });
      return;
    }
  }
}

/** Cord or leather wound round the handle. */
function checkWrap(design: Design, wrap: Wrap, report: Report): void {
  const layout = layoutOf(design);
  const { buttX, frontX, scaleEnd } = layout;
  const at = { x: wrap.fromMm, y: 0 };
  if (!hasEdge(layout, wrap)) report("error", "wrap-no-pommel", { at: { x: buttX, y: 0 } });
  else if (
    wrap.on === "grip" &&
    (!(wrap.fromMm > wrap.toMm) || wrap.fromMm > frontX + SAME_PLACE_MM || wrap.toMm < buttX - SAME_PLACE_MM)
  )
    report("error", "wrap-off-handle", { at, measured: wrap.toMm, limit: buttX });
  else if (scaleEnd && wrap.on === "grip") {
    const { highY, lowY } = layout.tangAt(wrap.toMm);
    const room = Math.min(...[lowY, highY].map((y) => aheadOfEnd(scaleEnd, wrap.toMm, y)));
    if (room < -SAME_PLACE_MM)
      report("error", "wrap-over-bare-end", { at: { x: wrap.toMm, y: 0 }, measured: -room, limit: 0 });
  }
  const collar = fittingOf(design.guard, "collar");
  const clear = frontX - (collar?.lengthMm ?? 0);
  if (collar && wrap.on === "grip" && wrap.fromMm > clear + SAME_PLACE_MM)
    report("error", "wrap-over-collar", { at, measured: wrap.fromMm, limit: clear });
  if (wrap.pitchMm < wrap.widthMm - ROUNDING)
    report("error", "wrap-too-close", { at, measured: wrap.pitchMm, limit: wrap.widthMm });
}

/** A joint along the handle runs from front to rear, and through the handle. */
function checkLengthwise(handle: Handle, report: Report): void {
  const lengthwise = lengthwiseOf(handle);
  if (!lengthwise) return;
  const { points } = lengthwise;
  points.forEach((p, i) => {
    const ahead = points[i - 1];
    if (ahead && !(p.xMm < ahead.xMm - SAME_PLACE_MM))
      report("error", "lengthwise-turns-back", {
        at: { x: p.xMm, y: p.yMm },
        subject: p.id,
        measured: p.xMm,
        limit: ahead.xMm,
      });
  });
  const outline = handleOutline(handle);
  const inside = polyline(lengthwiseOutlines(lengthwise).curve, 24).some(
    ({ x, y }) => insideBy(outline, x, y) > 0,
  );
  if (!inside) report("error", "lengthwise-off-handle", { at: { x: points[0].xMm, y: points[0].yMm } });
}

/** Whether the handle has length left behind its guard; what stands on it is not checked where it has none. */
export function checkRoom(design: Design, report: Report): boolean {
  const { frontX, guardMm } = layoutOf(design);
  const reach = handleReach(design);
  if (frontX > -reach) return true;
  report("error", "guard-longer-than-handle", { at: { x: frontX, y: 0 }, measured: guardMm, limit: reach });
  return false;
}
