import type { Point } from "../../geometry/curve/bezier";
import { grooveHalf } from "../../geometry/solids/groundBlade";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import type { Side } from "../../knife/parts/partKey";

/** One edge of a groove across a side of the handle, as long as the handle is high there. */
export interface GrooveEdge {
  readonly id: string;
  readonly end: "rear" | "front";
  readonly ends: readonly [Point, Point];
}

/** Both edges of every groove across one side. */
export function grooveEdges(design: Design, side: Side): GrooveEdge[] {
  const { outline } = layoutOf(design);
  return design.handle.grooves
    .filter((g) => g.sides === "both" || g.sides === side)
    .flatMap(({ id, xMm, diameterMm, depthMm }) => {
      const half = grooveHalf(diameterMm / 2, depthMm);
      return (["rear", "front"] as const).flatMap((end): GrooveEdge[] => {
        const x = end === "rear" ? xMm - half : xMm + half;
        const ys = outline.cut(x);
        if (ys.length < 2) return [];
        return [
          {
            id,
            end,
            ends: [
              { x, y: ys[0] },
              { x, y: ys[ys.length - 1] },
            ],
          },
        ];
      });
    });
}
