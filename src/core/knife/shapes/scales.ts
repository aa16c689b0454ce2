import { radians } from "../../base/number";
import type { Bolster, ScaleJoint, ScalesHandle } from "../design/schema";

/** Thickness of all the liners on one side, mm. */
export function linersThickness({ liners }: Pick<ScalesHandle, "liners">): number {
  return liners.reduce((sum, l) => sum + l.thicknessMm, 0);
}

/** Joints of the scales, the foremost first. */
export function jointsFrontFirst({ joints }: Pick<ScalesHandle, "joints">): ScaleJoint[] {
  return [...joints].sort((p, q) => q.xMm - p.xMm);
}

/**
 * Where the rear faces of a joint's dividers meet the axis, the foremost first, their thicknesses measured across the
 * sheets.
 */
export function dividerStations({ xMm, tiltDeg, dividers }: ScaleJoint): number[] {
  let x = xMm;
  return dividers.map(({ thicknessMm }) => {
    x -= thicknessMm / Math.cos(radians(tiltDeg));
    return x;
  });
}

/** Which of several sheets in a joint, from 1; null of a single one. */
export const veneerNumber = ({ dividers }: ScaleJoint, index: number): number | null =>
  dividers.length > 1 ? index + 1 : null;

/** Where what lies behind a joint begins on the axis: behind its last divider; the joint's own station without any. */
export function behindDividers(joint: ScaleJoint): number {
  return dividerStations(joint).pop() ?? joint.xMm;
}

/** Station of a bolster's joint on the axis, at the tang. */
export function bolsterJoint(
  bolster: Bolster,
  end: "front" | "rear",
  [butt, front]: readonly [number, number],
): number {
  return end === "front" ? front - bolster.lengthMm : butt + bolster.lengthMm;
}
