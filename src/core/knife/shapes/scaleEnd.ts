import { radians } from "../../base/number";
import type { Contour } from "../../geometry/curve/contour";
import type { Cylinder } from "../../geometry/solids/region";
import type { Handle, ScalesHandle } from "../design/schema";

/** Where scales end ahead of the butt: their edge, which leans, straight or hollowed by a wheel; behind it the tang is bare. */
export interface ScaleEnd {
  /** Where the edge, or the line through the wheel's middle along it, crosses the axis. */
  readonly xMm: number;
  readonly tiltDeg: number;
  readonly wheel: Cylinder | null;
}

/** Stations that scales lie between, on the axis: up to the butt, or to their end ahead of it. */
export function scalesSpan(
  { rearEnd }: Pick<ScalesHandle, "rearEnd">,
  [butt, front]: readonly [number, number],
): readonly [number, number] {
  return [butt + (rearEnd?.bareMm ?? 0), front];
}

/** Null of a handle without scales, or of scales that reach the butt. */
export function scaleEndOf(
  handle: Handle,
  outline: Contour,
  span: readonly [number, number],
): ScaleEnd | null {
  if (handle.kind !== "scales" || !handle.rearEnd) return null;
  const { tiltDeg, wheelRadiusMm: radiusMm } = handle.rearEnd;
  const [endX] = scalesSpan(handle, span);
  if (radiusMm === null) return { xMm: endX, tiltDeg, wheel: null };
  // The wheel reaches farthest in the middle of the handle's height there, square to the edge's lean.
  const ys = outline.cut(endX);
  const middle = ys.length > 1 ? (ys[0] + ys[ys.length - 1]) / 2 : 0;
  const lean = radians(tiltDeg);
  const wheel = {
    xMm: endX - radiusMm * Math.cos(lean),
    yMm: middle + radiusMm * Math.sin(lean),
    radiusMm,
  };
  return { xMm: wheel.xMm - wheel.yMm * Math.tan(lean), tiltDeg, wheel };
}

/** How far a place lies ahead of where scales end, mm; below zero on the bare tang. */
export function aheadOfEnd({ xMm, tiltDeg, wheel }: ScaleEnd, x: number, y: number): number {
  const lean = radians(tiltDeg);
  const ofLine = (x - xMm) * Math.cos(lean) - y * Math.sin(lean);
  return wheel ? Math.min(ofLine, Math.hypot(x - wheel.xMm, y - wheel.yMm) - wheel.radiusMm) : ofLine;
}
