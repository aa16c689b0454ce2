import { clamp } from "../../base/number";
import { remembered } from "../../base/record/remembered";
import { INSIDE_MM, SAME_PLACE_MM } from "../../base/tolerances";
import { type Contour, contourOf, insideBy } from "../../geometry/curve/contour";
import { polyline } from "../../geometry/curve/crossing";
import { signChanges } from "../../geometry/curve/roots";
import { curveThrough } from "../../geometry/curve/spline";
import { lineAt } from "../../geometry/solids/line";
import { prismRegion } from "../../geometry/solids/prism";
import type { Region } from "../../geometry/solids/region";
import type { CurvePoint, Half } from "../design/schema";
import { importedRegions } from "./imported";
import type { Layout } from "./types";

/** The closed outline through points round it, whichever way they run: smooth where a point is no corner. */
export const closedOutline = remembered((points: readonly CurvePoint[]): Contour => {
  const knots = points.map(({ xMm, yMm, corner }) => ({ x: xMm, y: yMm, corner }));
  const at = knots.findIndex((k) => k.corner);
  // Opened at a corner, or run round far enough that its seam is as smooth as the rest.
  const n = knots.length;
  const around = (from: number, count: number) =>
    Array.from({ length: count }, (_, i) => knots[(from + i) % n]);
  const cubics = at >= 0 ? curveThrough(around(at, n + 1)) : curveThrough(around(0, n + 3)).slice(1, n + 1);
  return contourOf(cubics);
});

/** One stretch of a pair of halves: what its regions have in common, over its stations; its thickness where it has one. */
export interface HalfStretch {
  readonly regions: readonly Region[];
  readonly xRange: readonly [number, number];
  readonly thicknessMm: number | null;
}

/** Steps that meetings are looked for in. */
const STEPS = 16;

export function halfStretches(layout: Layout, { shape }: Half): HalfStretch[] {
  const { design, crowns, tangFace } = layout;
  if (shape.kind === "outline") {
    const { thicknessMm } = shape;
    const outline = closedOutline(shape.points);
    const { xRange } = outline;
    // Where the handle grows thicker than the halves, what covers them begins.
    const meet = ([crowns.right, crowns.left] as const).flatMap((crown) =>
      signChanges((x) => crown.at(x) - lineAt(tangFace, x) - thicknessMm, ...xRange, STEPS),
    );
    const more = meet.map((x) => ({ x, below: true, above: true }));
    const region = prismRegion(outline);
    return [{ regions: [{ ...region, breaks: [...region.breaks, ...more] }], xRange, thicknessMm }];
  }
  return importedRegions(design.meshes, shape.place, shape.xMm).map((regions) => ({
    regions,
    xRange: regions[0].xRange,
    thicknessMm: null,
  }));
}

/** Chords to a segment of an outline that is compared. */
const CHORDS = 24;

/** Whether an outline stands out anywhere beyond that of the handle, which is the tang's. */
export function standsOut(points: readonly CurvePoint[], { outline }: Layout): boolean {
  const [rear, front] = outline.xRange;
  return polyline(closedOutline(points).cubics, CHORDS).some(({ x, y }) => {
    if (x < rear - SAME_PLACE_MM || x > front + SAME_PLACE_MM) return true;
    return insideBy(outline, clamp(x, rear + INSIDE_MM, front - INSIDE_MM), y) < -SAME_PLACE_MM;
  });
}
