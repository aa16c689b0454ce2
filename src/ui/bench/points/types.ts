import type { Point } from "@/core/curve/bezier";
import type { Design } from "@/core/design/schema";
import { type Fields, limitsIn } from "@/core/record/fields";
import type { Draft } from "@/store/session";

/** A number of the design that a point's editor shows, by its dotted path; `behind` turns a station's sign. */
export interface PointField {
  readonly label: string;
  readonly path: string;
  readonly min: number;
  readonly max: number;
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
  /** None for a point that can only be dragged: its number stands in the panel. */
  readonly fields: readonly PointField[];
  readonly pulls?: { readonly xs?: readonly number[]; readonly ys?: readonly number[] };
}

/** A point's field for a number of a record, held to that record's own limits. */
export function numberField(fields: Fields, key: string, at: string, label: string): PointField {
  const limits = limitsIn(fields, key);
  if (!limits) throw new Error(`${key} is no number of that record`);
  return { label, path: `${at}.${key}`, min: limits.low, max: limits.high };
}

/** Held within its limits, and to a ten-thousandth. */
export function held(value: number, min: number, max: number): number {
  return Math.round(Math.max(min, Math.min(max, value)) * 1e4) / 1e4;
}

/** A place on the side view, held to where things can stand. */
export function heldPlace(to: Point): { xMm: number; yMm: number } {
  return { xMm: held(to.x, -600, 1200), yMm: held(to.y, -300, 300) };
}

/** Degrees of a lean whose line goes through (x, `yMm`) and, on the axis, through `xMm`. */
export function leanOf(x: number, xMm: number, yMm: number, most: number): number {
  return Math.round(held((Math.atan2(x - xMm, yMm) * 180) / Math.PI, -most, most));
}

/** Height that a lean is dragged at, mm over the axis. */
export const LEAN_AT_MM = 12;

export function leanX(xMm: number, tiltDeg: number): number {
  return xMm + LEAN_AT_MM * Math.tan((tiltDeg * Math.PI) / 180);
}
