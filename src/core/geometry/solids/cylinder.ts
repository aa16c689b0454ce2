import type { Break } from "../curve/contour";
import type { Cylinder, Region } from "./region";
import { throughSlice } from "./slice";

/** Ends along x of what is round along z: its chord grows like a root from both. */
export function roundEnds({ xMm, radiusMm }: Cylinder): readonly [Break, Break] {
  return [
    { x: xMm - radiusMm, below: false, above: true },
    { x: xMm + radiusMm, below: true, above: false },
  ];
}

/** Half the chord of a circle at x, or 0 outside it. */
export function halfChord({ xMm, radiusMm: r }: Cylinder, x: number): number {
  const square = r * r - (x - xMm) * (x - xMm);
  return square > 0 ? Math.sqrt(square) : 0;
}

/** The region of a hole or rod along z. */
export function cylinderRegion({ xMm, yMm, radiusMm }: Cylinder): Region {
  const cylinder = { xMm, yMm, radiusMm: radiusMm > 0 ? radiusMm : 0 };
  return {
    kind: "cylinder",
    cylinder,
    xRange: [xMm - cylinder.radiusMm, xMm + cylinder.radiusMm],
    breaks: roundEnds(cylinder),
    from: [cylinder],
    sliceAt: (x) => {
      const half = halfChord(cylinder, x);
      return half > 0 ? throughSlice([yMm - half, yMm + half]) : null;
    },
  };
}
