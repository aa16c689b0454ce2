import { type Line, lineAt } from "./line";
import type { HalfSpace, Region } from "./region";
import { flatSlice } from "./slice";

/** All space between two sloping planes; null leaves that side open. Limits nothing in y. */
export function layerRegion(
  lower: Line | null,
  upper: Line | null,
  xRange: readonly [number, number],
): Region {
  const planes: HalfSpace[] = [
    { normal: [1, 0, 0], offsetMm: xRange[1] },
    { normal: [-1, 0, 0], offsetMm: -xRange[0] },
  ];
  if (lower) planes.push({ normal: [lower.slope, 0, -1], offsetMm: -lower.at0 });
  if (upper) planes.push({ normal: [-upper.slope, 0, 1], offsetMm: upper.at0 });
  const cutAt = (x: number) =>
    flatSlice(
      null,
      lower ? lineAt(lower, x) : Number.NEGATIVE_INFINITY,
      upper ? lineAt(upper, x) : Number.POSITIVE_INFINITY,
    );
  // Level faces: every cut is the same one.
  const level = !lower?.slope && !upper?.slope ? cutAt(xRange[0]) : null;
  return {
    kind: "half-spaces",
    planes,
    from: [lower, upper, xRange],
    xRange,
    breaks: [],
    sliceAt: (x) => (x < xRange[0] || x > xRange[1] ? null : (level ?? cutAt(x))),
  };
}
