import { type HalfSpace, NO_CROSSINGS, type Region, type Slice } from "./region";

/** Farther than any knife reaches, mm: where a region has no end of its own. */
const ENDLESS_MM = 1e4;

/**
 * All space on one side of a plane, n · p ≤ `offsetMm`, between two stations. `stations` are those where the plane
 * meets what it cuts: weighing breaks there.
 */
export function halfSpaceRegion(
  halfSpace: HalfSpace,
  xRange: readonly [number, number],
  stations: readonly number[] = [],
): Region {
  const { normal, offsetMm } = halfSpace;
  const [nx, ny, nz] = normal;
  return {
    planes: [halfSpace],
    xRange,
    // Where the plane leaves a rounded body, what it cuts off ends like a root.
    breaks: stations.map((x) => ({ x, below: true, above: true })),
    sliceAt: (x) => {
      if (x < xRange[0] || x > xRange[1]) return null;
      const room = offsetMm - nx * x;
      if (nz === 0) {
        if (ny === 0) return room >= 0 ? slice(null, null, null) : null;
        return slice(ny > 0 ? [-ENDLESS_MM, room / ny] : [room / ny, ENDLESS_MM], null, null);
      }
      return slice(null, (y) => (room - ny * y) / nz, ny === 0 ? null : (z) => [(room - nz * z) / ny]);
    },
  };

  function slice(
    ys: readonly number[] | null,
    face: ((y: number) => number) | null,
    crossings: ((z: number) => readonly number[]) | null,
  ): Slice {
    return {
      ys,
      creases: NO_CROSSINGS,
      levels: face && !crossings ? [face(0)] : NO_CROSSINGS,
      crossings: crossings ?? (() => NO_CROSSINGS),
      zones: [],
      extraPoints: 0,
      flat: crossings === null,
      low: (y) => (face && nz < 0 ? face(y) : Number.NEGATIVE_INFINITY),
      high: (y) => (face && nz > 0 ? face(y) : Number.POSITIVE_INFINITY),
    };
  }
}

/** The side of the joint x = `atMm` + y·tan(tilt) that lies ahead of it, or behind it. */
export function jointSide(
  side: "ahead" | "behind",
  atMm: number,
  tiltDeg: number,
  xRange: readonly [number, number],
  stations: readonly number[],
): Region {
  const lean = Math.tan((tiltDeg * Math.PI) / 180);
  const s = side === "ahead" ? -1 : 1;
  return halfSpaceRegion({ normal: [s, s === 1 ? -lean : lean, 0], offsetMm: s * atMm }, xRange, stations);
}
