import { roundTo } from "../../base/number";
import { fingerSpacingMm, usualBoreMm } from "../design/fingerRings";
import { ringsOf } from "../design/handleParts";
import type { Design, FingerRing } from "../design/schema";
import { layoutOf } from "./layout";

/** A finger ring to begin from: under the handle's front, or behind the last one as the hand's fingers stand. */
export function newRing(id: string, design: Design): FingerRing | null {
  const { handle, workshop } = design;
  if (handle.kind !== "stack") return null;
  const rings = ringsOf(handle);
  const last = rings.at(-1);
  const [boreMm, wallMm] = last ? [last.boreMm, last.wallMm] : [usualBoreMm(workshop.handMm), 3];
  // Two neighbours share a wall.
  const apart = Math.max(boreMm + wallMm, fingerSpacingMm(workshop.handMm));
  const xMm = last ? roundTo(last.xMm - apart, 1) : -22;
  const bottom = layoutOf(design).outline.cut(xMm)[0] ?? -12;
  const yMm = Math.round((bottom - boreMm / 2 - wallMm / 3) * 2) / 2;
  return { id, xMm, yMm, boreMm, wallMm, widthMm: 9, material: handle.pieces[0].material };
}
