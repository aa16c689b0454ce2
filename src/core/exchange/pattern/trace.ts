import type { RawDrawing } from "../../geometry/contours/raw";
import { through } from "../../geometry/curve/affine";
import type { Point } from "../../geometry/curve/bezier";
import { signedDistance } from "../../geometry/curve/crossing";
import type { Design } from "../../knife/design/schema";
import { guardThickness } from "../../knife/layout/guard";
import { type PlacedHole, withHoles } from "./applyHoles";
import {
  DRAWN_FIT,
  type OutlineFailure,
  type OutlineFit,
  type OutlineRole,
  withOutline,
} from "./applyOutline";
import { type Found, type FoundCircle, type FoundOutline, likelyOutline } from "./found";
import { type Laid, type Placing, placed, placingMap, proposedPlacing } from "./placing";

/** Knives mostly are so long over all, mm: the likely unit is the one that makes the pattern so. */
const USUAL_MM = [60, 600] as const;

/** Units that a pattern may be drawn in. */
export const UNITS = { mm: 1, in: 25.4, cm: 10, px: 25.4 / 96, pt: 25.4 / 72, m: 1000 } as const;
export type DrawingUnit = keyof typeof UNITS;

/** How long a drawing is over all, in its own unit. */
export function reachOf(drawing: RawDrawing): number {
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { points } of drawing.runs)
    for (const { x, y } of points) {
      [x0, x1] = [Math.min(x0, x), Math.max(x1, x)];
      [y0, y1] = [Math.min(y0, y), Math.max(y1, y)];
    }
  return Math.max(0, x1 - x0, y1 - y0);
}

/** The first of mm, inch, pixel, cm, point and m that makes a drawing as long as knives are; mm where none does. */
export function likelyUnit(drawing: RawDrawing): DrawingUnit {
  const reach = reachOf(drawing);
  const order: DrawingUnit[] = ["mm", "in", "px", "cm", "pt", "m"];
  return order.find((u) => reach * UNITS[u] >= USUAL_MM[0] && reach * UNITS[u] <= USUAL_MM[1]) ?? "mm";
}

/** Which outline is what, where it lies in the knife's frame, and which of the round holes go with it. */
export interface Assignment {
  readonly outline: FoundOutline | null;
  readonly as: OutlineRole;
  readonly placing: Placing;
  readonly holes: readonly { readonly circle: FoundCircle; readonly as: PlacedHole["as"] }[];
}

export type Traced =
  | {
      readonly ok: true;
      readonly design: Design;
      readonly used: readonly string[];
      readonly largestDeviationMm: number;
    }
  | ({ readonly ok: false } & OutlineFailure);

/** The knife with what was assigned of a drawing. */
export function traced(
  design: Design,
  { outline, as, placing, holes }: Assignment,
  fit: OutlineFit = DRAWN_FIT,
): Traced {
  let next = design;
  let largestDeviationMm = 0;
  if (outline) {
    const applied = withOutline(design, as, placed(outline.points, placing), fit);
    if (!applied.ok) return applied;
    next = applied.design;
    largestDeviationMm = applied.largestDeviationMm;
  }
  const map = placingMap(placing);
  const drilled = holes.map(({ circle, as: use }): PlacedHole => {
    const at = through(map, circle);
    return { xMm: at.x, yMm: at.y, diameterMm: 2 * circle.radiusMm, as: use };
  });
  if (drilled.length > 0 || outline) {
    // Of what is outside the outline, and of the tang under a scale, the pattern says nothing.
    const run = outline ? placed(outline.points, placing) : null;
    const shows = (x: number, y: number) => run === null || isInside(run, { x, y });
    next = withHoles(next, drilled, { ofTang: as === "blank" || as === "tang", shows });
  }
  const used = [...(outline ? [outline.id] : []), ...holes.map((h) => h.circle.id)];
  return { ok: true, design: next, used, largestDeviationMm };
}

/** The largest outline as the part it is asked for, with the round holes in it, as it most likely lies. */
export function proposedAssignment(
  design: Design,
  shapes: readonly Found[],
  as: OutlineRole | "holes",
  laid: Laid = "drawn",
): Assignment | null {
  const circles = shapes.filter((s) => s.kind === "circle");
  const outline = likelyOutline(shapes);
  if (!outline) {
    // Holes by themselves stand where they are drawn.
    if (as !== "holes" || circles.length === 0) return null;
    const placing: Placing = { datum: { x: 0, y: 0 }, tipDeg: 0, mirrored: false };
    return { outline: null, as: "blank", placing, holes: circles.map((circle) => ({ circle, as: null })) };
  }
  const placing = likelyPlacing(design, outline, as === "holes" ? "blank" : as, laid);
  const inside = circlesIn(outline, circles).map((circle) => ({ circle, as: null }));
  if (as === "holes") return { outline: null, as: "blank", placing, holes: inside };
  return { outline, as, placing, holes: as === "blade" ? [] : inside };
}

/** How an outline most likely lies on a knife as a part of it: its front where the knife's own is. */
export function likelyPlacing(
  design: Design,
  outline: FoundOutline,
  as: OutlineRole,
  laid: Laid = "drawn",
): Placing {
  const { handle, blade, tang, guard } = design;
  const nodes = handle.outline;
  const front = { x: 0, y: (nodes[0].yMm + nodes[nodes.length - 1].yMm) / 2 };
  switch (as) {
    case "blade":
      return proposedPlacing(
        outline.points,
        "blade",
        { x: 0, y: blade.spineOverAxisMm - blade.ricassoHeightMm / 2 },
        laid,
      );
    case "tang":
      return proposedPlacing(
        outline.points,
        "handle",
        tang.kind === "full" ? front : { x: 0, y: tang.yMm },
        laid,
      );
    case "scale":
      return proposedPlacing(
        outline.points,
        "handle",
        { ...front, x: guard ? -guardThickness(guard) : 0 },
        laid,
      );
    default:
      return proposedPlacing(outline.points, as, front, laid);
  }
}

/** The circles whose centres lie in an outline. */
export function circlesIn(outline: FoundOutline, circles: readonly FoundCircle[]): FoundCircle[] {
  return circles.filter((c) => isInside(outline.points, c));
}

/** Whether a place lies in a closed run. */
export const isInside = (points: readonly Point[], at: Point): boolean => signedDistance(points, at) < 0;
