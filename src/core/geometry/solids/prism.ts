import type { Contour } from "../curve/contour";
import type { Region } from "./region";
import { throughSlice } from "./slice";

/** All space over and under a closed outline of the x–y plane: slots, notches, nuts along z. */
export function prismRegion(outline: Contour): Region {
  return {
    kind: "prism",
    outline,
    from: [],
    xRange: outline.xRange,
    breaks: outline.breaks,
    sliceAt: (x) => {
      const ys = outline.cut(x);
      return ys.length < 2 ? null : throughSlice(ys);
    },
  };
}
