import type { Bolster, ScaleJoint, ScalesHandle } from "../design/schema";
import { radians } from "../number";

/** Thickness of all the liners on one side, mm. */
export function linersThickness({ liners }: Pick<ScalesHandle, "liners">): number {
  return liners.reduce((sum, l) => sum + l.thicknessMm, 0);
}

/** Joints of the scales, the foremost first. */
export function jointsFrontFirst({ joints }: Pick<ScalesHandle, "joints">): ScaleJoint[] {
  return [...joints].sort((p, q) => q.xMm - p.xMm);
}

/** Where a divider's rear face meets the axis, its thickness measured across the sheet; the joint's own station of none. */
export function behindDivider({ xMm, tiltDeg, divider }: ScaleJoint): number {
  return divider ? xMm - divider.thicknessMm / Math.cos(radians(tiltDeg)) : xMm;
}

/** Station of a bolster's joint on the axis, at the tang. */
export function bolsterJoint(
  bolster: Bolster,
  end: "front" | "rear",
  [butt, front]: readonly [number, number],
): number {
  return end === "front" ? front - bolster.lengthMm : butt + bolster.lengthMm;
}
