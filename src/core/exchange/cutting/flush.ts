import { radians } from "../../base/number";
import { INSIDE_MM } from "../../base/tolerances";
import { sectionOutline } from "../../figures/pieces/frontOutline";
import { flattened } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import { cutParts } from "./cutParts";

/** How far the guard stands out over the handle in one direction from the middle of their joint, mm; below zero inside it. */
export interface FlushAt {
  /** From the right side up: 0 is to the right, 90 the spine. */
  readonly deg: number;
  readonly guardMm: number;
  readonly handleMm: number;
  readonly stepMm: number;
}

const DIRECTIONS = [90, 45, 0, -45, -90, -135, 180, 135];
/** How far chords lie inside a plate's edge while it is measured, mm. */
const CHORD_MM = 0.01;

/** Guard and handle compared round their joint; empty without a plate guard, or a handle behind it. */
export function flushCheck(design: Design): FlushAt[] {
  const { guard } = design;
  if (!guard || guard.mesh || design.handle.kind === "bare") return [];
  const { frontX, body } = layoutOf(design);
  const plates = cutParts(design).filter((p) => p.key.kind === "guard" && p.face === "front");
  const rear = plates[plates.length - 1];
  if (!rear) return [];
  const [handle] = sectionOutline([body], frontX - INSIDE_MM);
  if (!handle) return [];
  const plate = flattened(rear.outlines[0], CHORD_MM);
  const ys = handle.map((p) => p.y);
  const middle = (Math.min(...ys) + Math.max(...ys)) / 2;
  return DIRECTIONS.map((deg) => {
    const [guardMm, handleMm] = [reach(plate, middle, deg), reach(handle, middle, deg)];
    return { deg, guardMm, handleMm, stepMm: guardMm - handleMm };
  });
}

/** How far a closed run reaches from (0, y) in a direction; 0 where the way does not cross it. */
function reach(points: readonly Point[], y: number, deg: number): number {
  const [ux, uy] = [Math.cos(radians(deg)), Math.sin(radians(deg))];
  let most = 0;
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length];
    // Across the way, and along it.
    const [a, b] = [p, q].map(({ x, y: at }) => ux * (at - y) - uy * x);
    if (a > 0 === b > 0) return;
    const t = a / (a - b);
    const [x, at] = [p.x + t * (q.x - p.x), p.y + t * (q.y - p.y) - y];
    most = Math.max(most, ux * x + uy * at);
  });
  return most;
}
