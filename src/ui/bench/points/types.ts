import type { Point } from "@/core/curve/bezier";
import { limitsAt } from "@/core/design/limits";
import type { Design } from "@/core/design/schema";
import { putAt, valueAt } from "@/core/edit/path";
import { clamp, degrees, radians, roundTo } from "@/core/number";
import type { Draft } from "@/store/session";

/** A number of the design that a point's editor shows, by its dotted path; `behind` turns a station's sign. */
export interface PointField {
  readonly label: string;
  readonly path: string;
  readonly behind?: boolean;
}

/** A place on the drawing that can be dragged, nudged by keys, and typed. mm in the view it is drawn on. */
export interface BenchPoint {
  readonly id: string;
  readonly title: string;
  readonly at: Point;
  /** Of a hole or pin, mm: drawn as large as it is. */
  readonly radiusMm?: number;
  readonly corner?: boolean;
  readonly move: (d: Draft<Design>, to: Point) => void;
  readonly remove?: (d: Draft<Design>) => void;
  /** What follows a number that was typed: measures that are told by the point. */
  readonly after?: (d: Draft<Design>) => void;
  /** None for a point that can only be dragged: its number stands in the panel. */
  readonly fields: readonly PointField[];
  readonly snaps?: { readonly xs?: readonly number[]; readonly ys?: readonly number[] };
}

/** Sets a number of the design, held to the limits that its schema has and to a ten-thousandth; nothing where there is none. */
export function setHeld(d: Draft<Design>, path: string, value: number): void {
  const limits = limitsAt(d as Design, path);
  if (!limits) return;
  putAt(d, path, roundTo(clamp(value, limits.low, limits.high), 4));
}

/** Sets the place of the one with that id in a list of the design. */
export function setPlace(d: Draft<Design>, list: string, id: string, to: Point): void {
  const items = valueAt(d, list);
  const i = Array.isArray(items) ? items.findIndex((item: { id?: unknown }) => item.id === id) : -1;
  if (i < 0) return;
  setHeld(d, `${list}.${i}.xMm`, to.x);
  setHeld(d, `${list}.${i}.yMm`, to.y);
}

/** Degrees of a lean whose line goes through (x, `yMm`) and, on the axis, through `xMm`. */
export function leanOf(x: number, xMm: number, yMm: number, most: number): number {
  return Math.round(clamp(degrees(Math.atan2(x - xMm, yMm)), -most, most));
}

/** Height that a lean is dragged at, mm over the axis. */
export const LEAN_AT_MM = 12;

export function leanX(xMm: number, tiltDeg: number): number {
  return xMm + LEAN_AT_MM * Math.tan(radians(tiltDeg));
}
