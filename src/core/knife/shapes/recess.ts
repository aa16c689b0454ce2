import type { Contour } from "../../geometry/curve/contour";
import { dishRegion } from "../../geometry/solids/dish";
import { layerRegion } from "../../geometry/solids/layer";
import { type Line, shifted } from "../../geometry/solids/line";
import { prismRegion } from "../../geometry/solids/prism";
import type { Region } from "../../geometry/solids/region";
import type { FullTang } from "../design/schema";

/** A recess inside an outline, in both faces of a tang: for each, regions that have it in common. */
export function recessRegions(
  recess: NonNullable<FullTang["recess"]>,
  outline: Contour,
  face: Line,
): readonly (readonly Region[])[] {
  return [false, true].map((mirror) => {
    if (recess.floor === "hollow") return [dishRegion(outline, face, recess.depthMm, mirror)];
    const floor = shifted(face, -recess.depthMm, mirror);
    const layer = mirror
      ? layerRegion(null, floor, outline.xRange)
      : layerRegion(floor, null, outline.xRange);
    return [prismRegion(outline), layer];
  });
}
