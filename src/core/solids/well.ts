import type { Contour } from "../curve/contour";
import { NO_CROSSINGS, type Region } from "./region";

/** All space over and under a closed outline of the x–y plane: slots, notches, nuts along z. */
export function wellRegion(outline: Contour): Region {
  return {
    xRange: outline.xRange,
    breaks: outline.breaks,
    sliceAt: (x) => {
      const ys = outline.cut(x);
      if (ys.length < 2) return null;
      return {
        ys,
        creases: NO_CROSSINGS,
        levels: NO_CROSSINGS,
        crossings: () => NO_CROSSINGS,
        zones: [],
        extraPoints: 0,
        flat: true,
        low: () => Number.NEGATIVE_INFINITY,
        high: () => Number.POSITIVE_INFINITY,
      };
    },
  };
}
