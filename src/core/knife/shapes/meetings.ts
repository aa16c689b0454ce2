import { radians } from "../../base/number";
import { INSIDE_MM } from "../../base/tolerances";
import { cubicX, cubicY } from "../../geometry/curve/bezier";
import type { Contour } from "../../geometry/curve/contour";
import { signChanges } from "../../geometry/curve/roots";

/** Stations where the joint x = `atMm` + y·tan(tilt) crosses an outline. */
export function jointStations(outline: Contour, atMm: number, tiltDeg: number): number[] {
  const lean = Math.tan(radians(tiltDeg));
  return outline.cubics.flatMap((c) =>
    signChanges((t) => cubicX(c, t) - atMm - lean * cubicY(c, t), 0, 1, 12).map((t) => cubicX(c, t)),
  );
}

/** A plane across the handle: where it meets the axis, and its lean, its top toward the front. */
export interface LeaningJoint {
  readonly xMm: number;
  readonly tiltDeg: number;
}

/**
 * How far a joint stays behind another that is ahead of it, where they come nearest within the handle's height, mm; below
 * zero where they cross.
 */
export function leastBetween(outline: Contour, ahead: LeaningJoint, behind: LeaningJoint): number {
  const heights = [ahead, behind].flatMap(({ xMm, tiltDeg }) => {
    const [low, high] = outline.xRange;
    const lean = Math.tan(radians(tiltDeg));
    // Where the joint leaves the handle, or the handle's own height where it does not.
    const ys = outline.cut(Math.min(high - INSIDE_MM, Math.max(low + INSIDE_MM, xMm)));
    const met = lean === 0 ? [] : jointStations(outline, xMm, tiltDeg).map((x) => (x - xMm) / lean);
    return met.length > 1 ? met : ys;
  });
  const gap = (y: number) =>
    ahead.xMm - behind.xMm + y * (Math.tan(radians(ahead.tiltDeg)) - Math.tan(radians(behind.tiltDeg)));
  return Math.min(gap(Math.min(...heights)), gap(Math.max(...heights)));
}
