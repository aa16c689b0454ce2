import { radians } from "../../base/number";
import type { HalfSpace, Region } from "./region";
import { curvedSlice, flatSlice, throughSlice } from "./slice";

/** Farther than any knife reaches, mm: where a region has no end of its own. */
const ENDLESS_MM = 1e4;

/** All space on one side of a plane, n · p ≤ `offsetMm`, between two stations. */
export function halfSpaceRegion(halfSpace: HalfSpace, xRange: readonly [number, number]): Region {
  const { normal, offsetMm } = halfSpace;
  const [nx, ny, nz] = normal;
  const sliceAt = (x: number) => {
    if (x < xRange[0] || x > xRange[1]) return null;
    const room = offsetMm - nx * x;
    if (nz === 0) {
      if (ny === 0) return room >= 0 ? throughSlice(null) : null;
      return throughSlice(ny > 0 ? [-ENDLESS_MM, room / ny] : [room / ny, ENDLESS_MM]);
    }
    const face = (y: number) => (room - ny * y) / nz;
    const [endlessLow, endlessHigh] = [() => Number.NEGATIVE_INFINITY, () => Number.POSITIVE_INFINITY];
    if (ny === 0)
      return nz < 0 ? flatSlice(null, face(0), endlessHigh()) : flatSlice(null, endlessLow(), face(0));
    return curvedSlice({
      ys: null,
      crossings: (z) => [(room - nz * z) / ny],
      low: nz < 0 ? face : endlessLow,
      high: nz > 0 ? face : endlessHigh,
    });
  };
  return {
    kind: "half-spaces",
    planes: [halfSpace],
    from: [halfSpace, xRange],
    xRange,
    breaks: [],
    sliceAt,
  };
}

/** The side of the joint x = `atMm` + y·tan(tilt) that lies ahead of it, or behind it. */
export function jointSide(
  side: "ahead" | "behind",
  atMm: number,
  tiltDeg: number,
  xRange: readonly [number, number],
): Region {
  const lean = Math.tan(radians(tiltDeg));
  const s = side === "ahead" ? -1 : 1;
  return halfSpaceRegion({ normal: [s, s === 1 ? -lean : lean, 0], offsetMm: s * atMm }, xRange);
}
