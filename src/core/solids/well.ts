import type { Contour } from "../curve/contour";
import { type Region, throughSlice } from "./region";

/** All space over and under a closed outline of the x–y plane: slots, notches, nuts along z. */
export function wellRegion(outline: Contour): Region {
  return {
    xRange: outline.xRange,
    breaks: outline.breaks,
    sliceAt: (x) => {
      const ys = outline.cut(x);
      return ys.length < 2 ? null : throughSlice(ys);
    },
  };
}
