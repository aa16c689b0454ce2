import { INSIDE_MM } from "../../base/tolerances";
import type { FittingPlace } from "../../kinds/guardFittings/kind";
import { bodyLoft } from "../constructions/handles/registry";
import type { Layout } from "../shapes/types";
import { guardOutline } from "./guard";

/** What a guard's fittings are fitted to; null without a guard. */
export function fittingPlace(layout: Layout): FittingPlace | null {
  const { design, outline, span, barOutline } = layout;
  const { guard, handle, tang } = design;
  if (!guard) return null;
  const ys = barOutline?.cut(-INSIDE_MM);
  return {
    guard,
    guardRange: guardOutline(guard).xRange,
    outline,
    span,
    handleOver: (xRange) => bodyLoft(layout, xRange),
    tangY: tang.kind === "full" ? 0 : tang.yMm,
    bar: ys ? { low: ys[0], high: ys[ys.length - 1] } : null,
    bladeMm: design.blade.spineMm,
    frontLowY: handle.outline[handle.outline.length - 1].yMm,
  };
}
