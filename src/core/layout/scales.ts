import type { Bolster, ScaleJoint, ScalesHandle } from "../design/schema";

/** Thickness of all the liners on one side, mm. */
export function linersThickness({ liners }: Pick<ScalesHandle, "liners">): number {
  return liners.reduce((sum, l) => sum + l.thicknessMm, 0);
}

/** Joints of the scales, the foremost first. */
export function jointsFrontFirst({ joints }: Pick<ScalesHandle, "joints">): ScaleJoint[] {
  return [...joints].sort((p, q) => q.xMm - p.xMm);
}

/** Station of a bolster's joint on the axis, at the tang. */
export function bolsterJoint(
  bolster: Bolster,
  end: "front" | "rear",
  [butt, front]: readonly [number, number],
): number {
  return end === "front" ? front - bolster.lengthMm : butt + bolster.lengthMm;
}
