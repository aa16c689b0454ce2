import { degrees } from "../../base/number";
import { INSIDE_MM } from "../../base/tolerances";
import { boxOf, straightLoop } from "../../geometry/contours/loop";
import { type Affine, after, shifted, stretched, through, turned } from "../../geometry/curve/affine";
import type { Point } from "../../geometry/curve/bezier";

/** Where a drawing's places stand in the knife's frame. */
export interface Placing {
  /** The drawing's place that is the shoulder datum, on the handle's axis. */
  readonly datum: Point;
  /** Which way the tip is from there, degrees to the left of the drawing's x. */
  readonly tipDeg: number;
  /** Seen from its left side: the edge is on the other side of the axis than it would be. */
  readonly mirrored: boolean;
}

/** The map from the drawing to the knife's frame. */
export function placingMap({ datum, tipDeg, mirrored }: Placing): Affine {
  const turn = after(turned(-tipDeg), shifted(-datum.x, -datum.y));
  return mirrored ? after(stretched(1, -1), turn) : turn;
}

export const placed = (points: readonly Point[], placing: Placing): Point[] => {
  const map = placingMap(placing);
  return points.map((p) => through(map, p));
};

/** Directions nearer than this to a sheet's own are meant to lie along it, degrees: a handle spreads a little aslant. */
const SNAP_DEG = 6;
/** Stations that a shape's heights are read at. */
const STATIONS = 200;

/**
 * How a shape most likely lies: its length by the way it spreads most, its tip at the end that is narrower. The middle of
 * its front (of a blade, of its shoulder; of a blank, where its lower edge steps most, or, without a step, a little behind
 * its middle) comes to a place of the knife's frame. What stands in the frame already, with its datum at the drawing's
 * origin, stays there.
 */
export function proposedPlacing(
  points: readonly Point[],
  as: "blank" | "blade" | "handle",
  frontAt: Point = { x: 0, y: 0 },
): Placing {
  const inFrame = { datum: { x: 0, y: 0 }, tipDeg: 0, mirrored: false };
  if (standsInFrame(points, as)) return inFrame;
  const centre = centroidOf(points);
  const axis = longAxisDeg(points, centre);
  const along = placed(points, { datum: centre, tipDeg: axis, mirrored: false });
  const heights = heightsAlong(along);
  const thin = (from: number, to: number) =>
    heights.slice(from, to).reduce((sum, h) => sum + h.high - h.low, 0) / (to - from);
  const [rear, front] = [thin(2, 16), thin(STATIONS - 16, STATIONS - 2)];
  // A handle's front is cut square: its butt is the narrower end near it.
  const tipAhead = as === "handle" ? front >= rear : front <= rear;
  // Turned half round a knife would stand on its back: it is mirrored instead.
  const tipDeg = tipAhead ? axis : axis + 180;
  const upright: Placing = { datum: centre, tipDeg, mirrored: !tipAhead };
  const lying = placed(points, upright);
  const box = boxOf([straightLoop(lying)])!;
  const end =
    as === "blank"
      ? shoulderOf(lying, box)
      : endOf(lying, as === "handle" ? box.x1 : box.x0, as === "handle" ? -1 : 1);
  return shiftedTo(upright, { x: end.x - frontAt.x, y: end.y - frontAt.y });
}

/** The placing with its datum at a place in its own frame. */
function shiftedTo(placing: Placing, to: Point): Placing {
  const back = after(turned(placing.tipDeg), stretched(1, placing.mirrored ? -1 : 1));
  const off = through(back, to);
  return { ...placing, datum: { x: placing.datum.x + off.x, y: placing.datum.y + off.y } };
}

/** How far inside its end a shape's middle is looked for, mm. */
const AT_END_MM = 1;

/** The middle of a shape at one of its ends. */
function endOf(points: readonly Point[], x: number, inward: 1 | -1): Point {
  const ys = crossings(points, x + inward * AT_END_MM);
  return { x, y: ys.length > 1 ? (ys[0] + ys[ys.length - 1]) / 2 : 0 };
}

/** Whether a shape runs through the drawing's origin as a knife does through its datum, the tip to the right. */
function standsInFrame(points: readonly Point[], as: "blank" | "blade" | "handle"): boolean {
  const box = boxOf([straightLoop(points)]);
  if (!box || !(box.x1 - box.x0 > 1.5 * (box.y1 - box.y0)) || !(box.y0 < 0 && box.y1 > 0)) return false;
  const length = box.x1 - box.x0;
  if (as === "blank") return box.x0 < -0.15 * length && box.x1 > 0.15 * length;
  return Math.abs(as === "handle" ? box.x1 : box.x0) < 0.02 * length;
}

function centroidOf(points: readonly Point[]): Point {
  let [a, x, y] = [0, 0, 0];
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length];
    const cross = p.x * q.y - q.x * p.y;
    a += cross;
    x += (p.x + q.x) * cross;
    y += (p.y + q.y) * cross;
  });
  return a === 0 ? points[0] : { x: x / (3 * a), y: y / (3 * a) };
}

/** The direction that a run of places spreads most in, degrees; along the drawing's own where it is near that. */
function longAxisDeg(points: readonly Point[], c: Point): number {
  let [xx, xy, yy] = [0, 0, 0];
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length];
    const w = Math.hypot(q.x - p.x, q.y - p.y);
    xx += w * (p.x - c.x) ** 2;
    xy += w * (p.x - c.x) * (p.y - c.y);
    yy += w * (p.y - c.y) ** 2;
  });
  const deg = degrees(Math.atan2(2 * xy, xx - yy)) / 2;
  const near = Math.round(deg / 90) * 90;
  return Math.abs(deg - near) < SNAP_DEG ? near : deg;
}

interface Height {
  readonly x: number;
  readonly low: number;
  readonly high: number;
}

function heightsAlong(points: readonly Point[]): Height[] {
  const box = boxOf([straightLoop(points)])!;
  return Array.from({ length: STATIONS }, (_, i) => {
    const x = box.x0 + ((box.x1 - box.x0) * (i + 0.5)) / STATIONS;
    const ys = crossings(points, x);
    return { x, low: Math.min(...ys), high: Math.max(...ys) };
  });
}

/** Heights at which a closed run crosses a station, ascending. */
export function crossings(points: readonly Point[], x: number): number[] {
  const ys: number[] = [];
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length];
    if (a.x > x !== b.x > x) ys.push(a.y + ((x - a.x) / (b.x - a.x)) * (b.y - a.y));
  });
  return ys.sort((p, q) => p - q);
}

/** A step of the lower edge is a heel when it is higher than this, mm. */
const HEEL_MM = 1.5;

/** Where a blank's lower edge steps most in its middle part; else a little behind the middle. */
function shoulderOf(points: readonly Point[], box: { x0: number; x1: number }): Point {
  const heights = heightsAlong(points);
  const length = box.x1 - box.x0;
  let best = { x: box.x0 + 0.48 * length, step: HEEL_MM };
  for (let i = 1; i < heights.length; i++) {
    const [a, b] = [heights[i - 1], heights[i]];
    const share = (b.x - box.x0) / length;
    const step = a.low - b.low;
    if (share > 0.25 && share < 0.7 && step > best.step) best = { x: a.x, step };
  }
  const ys = crossings(points, best.x + INSIDE_MM);
  return { x: best.x, y: ys.length > 1 ? (ys[0] + ys[ys.length - 1]) / 2 : 0 };
}
