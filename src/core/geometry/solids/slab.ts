import type { Contour } from "../curve/contour";
import { type Line, lineAt } from "./line";
import type { Region } from "./region";
import { flatSlice } from "./slice";

/** A flat bar of a closed outline, centred on the blade's plane; `half` is its half thickness along x, mm. */
export function slabRegion(outline: Contour, half: Line, xRange: readonly [number, number]): Region {
  const range: [number, number] = [
    Math.max(xRange[0], outline.xRange[0]),
    Math.min(xRange[1], outline.xRange[1]),
  ];
  return {
    kind: "slab",
    outline,
    from: [half, xRange],
    xRange: range,
    breaks: outline.breaks,
    sliceAt: (x) => {
      const h = lineAt(half, x);
      if (!(h > 0) || x < range[0] || x > range[1]) return null;
      return flatSlice(outline.cut(x), -h, h);
    },
  };
}
