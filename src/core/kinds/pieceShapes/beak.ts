import { length, share } from "../../base/record/fields";
import { straight } from "../../geometry/curve/bezier";
import { contourOf } from "../../geometry/curve/contour";
import { curveThrough } from "../../geometry/curve/spline";
import { sectionOf } from "../../geometry/solids/section";
import { evenLoft } from "../../geometry/solids/turned";
import { acrossButt, acrossFields, acrossPoints, pieceShapeKind, type Range } from "./kind";

/** A hooked end; the beak reaches so far below. */
export const beak = pieceShapeKind({
  kind: "beak",
  fields: { ...acrossFields, roundness: share(0, 1), beakMm: length(0, 100) },
  start: (butt) => ({ ...acrossButt(butt), roundness: 0.8, beakMm: 8 }),
  regions: (s, range) => [evenLoft(outline(s, range), () => s.widthMm / 2, sectionOf(s.roundness))],
  points: acrossPoints,
});

interface Sizes {
  readonly aboveMm: number;
  readonly belowMm: number;
  readonly beakMm: number;
}

/** A rounded back, running down into a beak that hooks forward a little under the handle. */
function outline({ aboveMm: up, belowMm: down, beakMm }: Sizes, [x0, x1]: Range) {
  const length = x1 - x0;
  const knot = (x: number, y: number, corner = false) => ({ x, y, corner });
  const run = curveThrough([
    knot(x1, up, true),
    knot(x0 + 0.35 * length, 0.9 * up),
    knot(x0, -0.2 * down),
    knot(x0 + 0.12 * length, -down - 0.5 * beakMm),
    knot(x0 + 0.42 * length, -down - beakMm, true),
    knot(x0 + 0.62 * length, -down - 0.3 * beakMm),
    knot(x1, -down, true),
  ]);
  return contourOf([...run, straight(run[run.length - 1].d, run[0].a)]);
}
