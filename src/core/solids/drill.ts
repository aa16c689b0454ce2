import { type Drill, type Region, throughSlice } from "./region";

/** The region of a drill. Its chord grows like a root at both sides, which its breaks declare. */
export function drillRegion({ xMm, yMm, radiusMm }: Drill): Region {
  const r = radiusMm > 0 ? radiusMm : 0;
  return {
    drill: { xMm, yMm, radiusMm: r },
    xRange: [xMm - r, xMm + r],
    breaks: [
      { x: xMm - r, below: false, above: true },
      { x: xMm + r, below: true, above: false },
    ],
    sliceAt: (x) => {
      const half2 = r * r - (x - xMm) * (x - xMm);
      if (!(half2 > 0)) return null;
      const half = Math.sqrt(half2);
      return throughSlice([yMm - half, yMm + half]);
    },
  };
}
