import { DRILLS } from "../../figures/fit/drillSets";
import { guardSlot } from "../../figures/fit/guardSlot";
import { openingAt } from "../../figures/fit/openings";
import { type Loop, reversed } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import type { Design } from "../../knife/design/schema";
import type { Workpiece } from "../../knife/parts/workpiece";
import { asLoops } from "./follows";
import { roundedBox } from "./roundedBox";

/** An opening as what is cut out of a piece: loops that run clockwise. */
export const cutOut = (outline: readonly (readonly Point[])[]): Loop[] => asLoops(outline).map(reversed);

/** What is cut out of the front or the rear face of a piece for the tang: of the guard, the slot that is milled. */
export function faceOpenings(design: Design, { key, ends }: Workpiece, face: "front" | "rear"): Loop[] {
  if (key.kind === "guard") {
    const slot = guardSlot(design, DRILLS);
    return slot ? [roundedBox(slot.yMm, slot.thicknessMm, slot.heightMm, slot.cornerMm)] : [];
  }
  const end = ends?.[face];
  return cutOut((end && openingAt(design, end)?.outline) ?? []);
}
