import { drawnProtrusions } from "@/core/figures/views/protrusions";
import { cubicY } from "@/core/geometry/curve/bezier";
import { fittingsOn } from "@/core/kinds/guardFittings/registry";
import { endKindOf } from "@/core/kinds/tangEnds/registry";
import type { Design } from "@/core/knife/design/schema";
import { bladeReaches } from "@/core/knife/layout/bladeParts";
import { layoutOf } from "@/core/knife/layout/layout";
import type { Extent } from "./path";

/** The box round blade, handle, guard, and what stands out of the handle: pommels, rings, nuts. */
export function knifeExtent(design: Design): Extent {
  const { bladeOutline: blade, outline: handle, guardOutline: guard } = layoutOf(design);
  const ys = [...blade.cubics, ...handle.cubics, ...(guard?.cubics ?? [])].flatMap((c) =>
    [0, 0.25, 0.5, 0.75, 1].map((t) => cubicY(c, t)),
  );
  ys.push(...bladeReaches(design.blade));
  const extras = hasExtras(design) ? drawnProtrusions(design).flatMap((s) => s.loops.flat()) : [];
  const xs = extras.map((p) => p.x);
  const more = extras.map((p) => p.y);
  return {
    xLow: Math.min(handle.xRange[0], 0, ...(guard ? guard.xRange : []), ...xs),
    xHigh: Math.max(blade.xRange[1], handle.xRange[1], ...(guard ? guard.xRange : []), ...xs),
    yLow: Math.min(...ys, ...more),
    yHigh: Math.max(...ys, ...more),
  };
}

/** Whether anything can stand out of the outlines. */
export function hasExtras({ handle, guard, tang }: Design): boolean {
  return (
    (guard !== null && (guard.mesh !== null || fittingsOn(guard).some((f) => f.kind.seen !== "void"))) ||
    (handle.kind === "stack" && (handle.rings.length > 0 || handle.pieces.some((p) => p.shape))) ||
    tang.kind === "framed" ||
    handle.wraps.length > 0 ||
    (handle.kind === "scales" && handle.halves.length > 0) ||
    (tang.kind === "hidden" && endKindOf(tang.end).through)
  );
}
