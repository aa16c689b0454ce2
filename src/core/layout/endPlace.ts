import type { EndPlace } from "../tangEnds/kind";
import { barSizeAt } from "./bar";
import type { Layout } from "./layout";

/** What the end of a hidden tang is fitted to; null of another tang. */
export function endPlace(layout: Layout): EndPlace | null {
  const { tang, blade } = layout.design;
  if (tang.kind !== "hidden") return null;
  const size = barSizeAt(tang, -tang.lengthMm);
  return {
    buttX: layout.rearAt(tang.yMm),
    reachMm: -layout.buttX,
    endX: -tang.lengthMm,
    yMm: tang.yMm,
    halfHeightMm: size.halfHeight,
    halfThicknessMm: size.halfThickness,
    endAcrossMm: Math.min(tang.endThicknessMm, tang.endHeightMm),
    steel: blade.steel,
  };
}
