import { straight } from "../curve/bezier";
import { type Contour, contourOf } from "../curve/contour";
import type { Guard } from "../design/schema";

/** The guard from the side: a rectangle behind the datum. */
export function guardOutline(guard: Guard): Contour {
  const corners = [
    { x: 0, y: guard.aboveMm },
    { x: -guard.thicknessMm, y: guard.aboveMm },
    { x: -guard.thicknessMm, y: -guard.belowMm },
    { x: 0, y: -guard.belowMm },
  ];
  return contourOf(corners.map((p, i) => straight(p, corners[(i + 1) % 4])));
}
