import { cubicX, cubicY, type Point } from "../curve/bezier";
import type { Contour } from "../curve/contour";
import { signChanges } from "../curve/roots";
import { radians } from "../number";
import { ROUNDING } from "../tolerances";

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
