import type { HalfSpace, Region } from "./region";
import { flatSlice } from "./slice";

/** A height that runs straight along the knife: z = `at0` + `slope` · x, mm. */
export interface Line {
  readonly at0: number;
  readonly slope: number;
}

/** The height of a line at x. */
export function lineAt(line: Line, x: number): number {
  return line.at0 + line.slope * x;
}

/** A line shifted in z, or mirrored to the other side of the centre plane. */
export function shifted(line: Line, by: number, mirror = false): Line {
  const s = mirror ? -1 : 1;
  return { at0: s * (line.at0 + by), slope: s * line.slope };
}

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
    flats: [lower, upper].flatMap((line) => (line ? [{ line, xRange }] : [])),
    sliceAt: (x) => (x < xRange[0] || x > xRange[1] ? null : (level ?? cutAt(x))),
  };
}
