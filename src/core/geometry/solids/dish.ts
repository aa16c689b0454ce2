import type { Contour } from "../curve/contour";
import { type Line, lineAt } from "./line";
import type { Region } from "./region";
import { curvedSlice } from "./slice";

/**
 * A hollow in one face of a flat tang, inside an outline, a parabola across: deepest, by `depthMm`, in the middle of
 * each stretch of y. `half` is the height of the face; `mirror` takes the other one.
 */
export function dishRegion(outline: Contour, half: Line, depthMm: number, mirror: boolean): Region {
  return {
    kind: "dish",
    outline,
    from: [half, depthMm, mirror],
    xRange: outline.xRange,
    breaks: outline.breaks,
    sliceAt: (x) => {
      const ys = outline.cut(x);
      if (ys.length < 2) return null;
      const face = lineAt(half, x);
      const floor = (y: number): number => {
        let k = 0;
        while (k + 2 < ys.length && y > ys[k + 1]) k += 2;
        const h = (ys[k + 1] - ys[k]) / 2;
        const u = h > 0 ? (y - ys[k] - h) / h : 1;
        return face - depthMm * Math.max(0, 1 - u * u);
      };
      return curvedSlice({
        ys,
        extraPoints: 2,
        // Over the face by a little: what it takes from ends there by itself.
        low: (y) => (mirror ? -face - 1 : floor(y)),
        high: (y) => (mirror ? -floor(y) : face + 1),
      });
    },
  };
}
