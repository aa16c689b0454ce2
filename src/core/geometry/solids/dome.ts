import { ClosingZone, ROUND } from "./closingZone";
import { halfChord, roundEnds } from "./cylinder";
import type { Cylinder, Region } from "./region";
import { curvedSlice, NONE } from "./slice";

/**
 * Half an ellipsoid of revolution about an axis along z, standing on the plane z = `baseMm` and `heightMm` high;
 * `mirror` hangs it under −`baseMm` on the other side.
 */
export function domeRegion(on: Cylinder, baseMm: number, heightMm: number, mirror: boolean): Region {
  const { xMm, yMm, radiusMm: r } = on;
  return {
    kind: "dome",
    from: [on, baseMm, heightMm, mirror],
    xRange: [xMm - r, xMm + r],
    breaks: roundEnds(on),
    sliceAt: (x) => {
      const half = halfChord(on, x);
      if (half === 0) return null;
      const rise = (heightMm * half) / r;
      const top = (y: number) => {
        const u = (y - yMm) / half;
        return baseMm + rise * Math.sqrt(Math.max(0, 1 - u * u));
      };
      return curvedSlice({
        ys: [yMm - half, yMm + half],
        levels: [mirror ? -baseMm : baseMm],
        crossings: (z) => {
          const up = (mirror ? -z : z) - baseMm;
          if (!(up > 0) || !(up < rise)) return NONE;
          const u = Math.sqrt(1 - (up / rise) ** 2);
          return [yMm - half * u, yMm + half * u];
        },
        zones: [new ClosingZone(yMm, half, 1, ROUND), new ClosingZone(yMm, half, -1, ROUND)],
        low: (y) => (mirror ? -top(y) : baseMm),
        high: (y) => (mirror ? -baseMm : top(y)),
      });
    },
  };
}
