import { clamp, degrees, radians, roundTo } from "../../base/number";
import { putAt, valueAt } from "../../base/record/path";
import type { Point } from "../../geometry/curve/bezier";
import type { FittingKind } from "../../kinds/guardFittings/registry";
import { limitsAt } from "../../knife/design/limits";
import type { BarEndKind, BladeNotch, Design, PieceRole } from "../../knife/design/schema";
import type { ItemName, Naming } from "../../knife/shapes/itemNames";
import type { Draft } from "../draft";

/** A curve on the handle, by what it shapes: a joint along it, or the outline of halves at one end. */
export type CurveName = "lengthwise" | "front" | "rear";

/** A piece of a handle, by what it is and what distinguishes it from others. */
export interface PieceName {
  readonly role: PieceRole;
  readonly naming: Naming;
}

/** Which point it is, for the words that call it. */
export type PointName =
  | { readonly point: OnePoint }
  | { readonly point: CountedPoint; readonly number: number }
  | { readonly point: "plate" | "wrap-beginning" | "wrap-end"; readonly number: number | null }
  | { readonly point: "notch"; readonly purpose: BladeNotch["purpose"] }
  | { readonly point: "item" | "slot-end"; readonly item: ItemName | undefined }
  | { readonly point: "on-curve"; readonly curve: CurveName; readonly number: number }
  | { readonly point: "fitting"; readonly fitting: FittingKind }
  | { readonly point: "held-by"; readonly end: BarEndKind; readonly of: string }
  | { readonly point: "piece"; readonly end: "front" | "rear"; readonly piece: PieceName }
  | { readonly point: "piece-shape"; readonly of: string; readonly piece: PieceName };

/** Points that a knife has one of. */
export type OnePoint =
  | "tip"
  | "heel"
  | "ricasso"
  | "drop"
  | "belly"
  | "shoulder-top"
  | "shoulder-bottom"
  | "plunge"
  | "ridge"
  | "face"
  | "spine"
  | "spine-tip"
  | "swedge"
  | "ramp"
  | "bolster-front"
  | "bolster-width"
  | "bolster-above"
  | "bolster-below"
  | "guard-top"
  | "guard-bottom"
  | "guard-middle"
  | "guard-width"
  | "lean"
  | "front-bolster"
  | "rear-bolster"
  | "waist"
  | "waist-end"
  | "scale-end"
  | "tang-end"
  | "tang-front"
  | "tang-butt"
  | "tang-end-height"
  | "tang-front-thickness"
  | "tang-end-thickness"
  | "recess-front"
  | "hole-bottom";

/** Points that it may have several of, distinguished by their number. */
export type CountedPoint =
  | "on-spine"
  | "on-edge"
  | "on-face"
  | "on-taper"
  | "mark"
  | "fuller"
  | "fuller-beginning"
  | "fuller-end"
  | "groove"
  | "joint"
  | "ring";

/** A number of the design that a point's editor shows, by its dotted path; `behind` turns a station's sign. */
export interface PointField {
  readonly path: string;
  readonly behind?: boolean;
}

/** A place on the drawing that can be dragged, nudged by keys, and typed. mm in the view it is drawn on. */
export interface BenchPoint {
  readonly id: string;
  readonly name: PointName;
  readonly at: Point;
  /** Of a hole or pin, mm: drawn as large as it is. */
  readonly radiusMm?: number;
  readonly corner?: boolean;
  readonly move: (d: Draft<Design>, to: Point) => void;
  readonly remove?: (d: Draft<Design>) => void;
  /** What follows a number that was typed: measures that depend on the point. */
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
