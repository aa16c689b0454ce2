import { cubicX, cubicY, type Point } from "../curve/bezier";
import type { Contour } from "../curve/contour";
import { signChanges } from "../curve/roots";
import { radians } from "../number";
import { INSIDE_MM, ROUNDING } from "../tolerances";

/** Stations near the rear end of `outer`, within `reachMm` of it, where the edges of two outlines cross. */
export function edgeMeetings(inner: Contour, outer: Contour, reachMm: number): number[] {
  const from = Math.max(inner.xRange[0], outer.xRange[0]);
  const to = Math.min(inner.xRange[1], outer.xRange[0] + reachMm);
  const gap = (top: boolean) => (x: number) => {
    const [a, b] = [inner.cut(x), outer.cut(x)];
    if (a.length < 2 || b.length < 2) return -1;
    return top ? b[b.length - 1] - a[a.length - 1] : a[0] - b[0];
  };
  return [true, false].flatMap((top) => signChanges(gap(top), from + ROUNDING, to, 40));
}

/** Stations where a circle crosses an outline. */
export function circleMeetings(outline: Contour, middle: Point, radiusMm: number): number[] {
  return outline.cubics.flatMap((c) =>
    signChanges((t) => Math.hypot(cubicX(c, t) - middle.x, cubicY(c, t) - middle.y) - radiusMm, 0, 1, 12).map(
      (t) => cubicX(c, t),
    ),
  );
}

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
