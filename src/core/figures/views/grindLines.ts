import { type DrawnLine, faceLines } from "../../geometry/solids/faceLines";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";

/** A line of the left side that lies so near to one of the right is the same, mm. */
const SAME_LINE_MM = 0.01;

/** The lines that grinding leaves on a blade: those of its right side, and those of the left that lie elsewhere. */
export function grindLines(design: Design): { readonly right: DrawnLine[]; readonly leftOnly: DrawnLine[] } {
  const { blade } = layoutOf(design);
  const right = faceLines(blade, "right");
  // What nothing makes different is alike on both sides.
  const differs = blade.leftGrind !== null || blade.swedge !== null || blade.fullers.length > 0;
  const left = differs || blade.grind.kind === "single-bevel" ? faceLines(blade, "left") : [];
  return { right, leftOnly: left.filter((l) => !right.some((r) => alike(l, r))) };
}

function alike(a: DrawnLine, b: DrawnLine): boolean {
  return (
    a.of === b.of &&
    a.points.length === b.points.length &&
    a.points.every((p, i) => Math.abs(p.y - b.points[i].y) + Math.abs(p.x - b.points[i].x) < SAME_LINE_MM)
  );
}
