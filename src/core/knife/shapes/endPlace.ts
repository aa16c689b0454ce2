import type { EndPlace } from "../../kinds/tangEnds/kind";
import type { HiddenTang } from "../design/schema";
import { barSizeAt } from "./bar";
import type { Layout } from "./types";

/** What the end of a hidden tang is fitted to; null of another tang. */
export function endPlace(layout: Layout): EndPlace | null {
  const { tang, blade } = layout.design;
  if (tang.kind !== "hidden") return null;
  return barEndPlace(tang, blade.steel, layout.rearAt(tang.yMm), -layout.buttX);
}

/** The end of a hidden tang where the butt stands at that station, in a handle that reaches so far. Lengths in mm. */
export function barEndPlace(tang: HiddenTang, steel: string, buttX: number, reachMm: number): EndPlace {
  const size = barSizeAt(tang, -tang.lengthMm);
  return {
    buttX,
    reachMm,
    endX: -tang.lengthMm,
    yMm: tang.yMm,
    halfHeightMm: size.halfHeight,
    halfThicknessMm: size.halfThickness,
    endAcrossMm: Math.min(tang.endThicknessMm, tang.endHeightMm),
    steel,
  };
}
