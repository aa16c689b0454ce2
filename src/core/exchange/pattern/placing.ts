import { degrees } from "../../base/number";
import { INSIDE_MM } from "../../base/tolerances";
import { areaMoments } from "../../geometry/contours/areaMoments";
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

/** Whether a pattern was drawn along its sheet, or lies on it as a hand laid it. */
export type Laid = "drawn" | "by-hand";

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
  laid: Laid = "drawn",
): Placing {
  const inFrame = { datum: { x: 0, y: 0 }, tipDeg: 0, mirrored: false };
  if (laid === "drawn" && standsInFrame(points, as)) return inFrame;
  const centre = centroidOf(points);
  const spread = spreadDeg(points, centre);
  const axis = laid === "drawn" ? alongSheet(spread) : (straightDeg(points, spread) ?? spread);
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

const centroidOf = (points: readonly Point[]): Point => areaMoments(points)?.centre ?? points[0];

/** How far a shape that is laid by hand lies aslant of its sheet by the way it spreads, degrees; 0 of one drawn there. */
export function aslantDeg(points: readonly Point[], laid: Laid): number {
  if (laid === "drawn") return 0;
  const deg = spreadDeg(points, centroidOf(points));
  return deg - 90 * Math.round(deg / 90);
}

/** A direction, along the drawing's own where it is near that, degrees. */
function alongSheet(deg: number): number {
  const near = Math.round(deg / 90) * 90;
  return Math.abs(deg - near) < SNAP_DEG ? near : deg;
}

/** The direction that a run of places spreads most in, degrees. */
function spreadDeg(points: readonly Point[], c: Point): number {
  let [xx, xy, yy] = [0, 0, 0];
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length];
    const w = Math.hypot(q.x - p.x, q.y - p.y);
    xx += w * (p.x - c.x) ** 2;
    xy += w * (p.x - c.x) * (p.y - c.y);
    yy += w * (p.y - c.y) ** 2;
  });
  return degrees(Math.atan2(2 * xy, xx - yy)) / 2;
}

/** Straight within this, mm, an outline is looked at in steps of so much. */
const STRAIGHT_MM = 0.3;
const STEP_MM = 1;
/** A straight stretch says how a shape lies where it is so long, as a share of the shape, and so near to its spread. */
const STRAIGHT_SHARE = 0.2;
const NEAR_SPREAD_DEG = 12;

/** The direction of the longest straight stretch of an outline, as of a spine, near the way it spreads, degrees; null of none. */
function straightDeg(points: readonly Point[], spread: number): number | null {
  const run = evenly(points, STEP_MM);
  const n = run.length;
  const box = boxOf([straightLoop(placed(points, { datum: run[0], tipDeg: spread, mirrored: false }))])!;
  let best: { readonly deg: number; readonly mm: number } | null = null;
  for (let from = 0; from < n; from++) {
    for (
      let steps = Math.ceil((best?.mm ?? STRAIGHT_SHARE * (box.x1 - box.x0)) / STEP_MM);
      steps < n;
      steps++
    ) {
      const [a, b] = [run[from], run[(from + steps) % n]];
      const mm = Math.hypot(b.x - a.x, b.y - a.y);
      const isStraight = Array.from({ length: steps - 1 }, (_, i) => run[(from + 1 + i) % n]).every(
        (p) => Math.abs((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) <= STRAIGHT_MM * mm,
      );
      if (!isStraight) break;
      const deg = spread + halfTurn(degrees(Math.atan2(b.y - a.y, b.x - a.x)) - spread);
      if (Math.abs(deg - spread) <= NEAR_SPREAD_DEG && mm > (best?.mm ?? 0)) best = { deg, mm };
    }
  }
  return best && best.mm >= STRAIGHT_SHARE * (box.x1 - box.x0) ? best.deg : null;
}

/** An angle as one between −90 and 90 degrees that a line lies at as well. */
const halfTurn = (deg: number) => deg - 180 * Math.round(deg / 180);

/** Places along a closed run, about so far from each other. */
function evenly(points: readonly Point[], stepMm: number): Point[] {
  const run: Point[] = [];
  let left = 0;
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length];
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    for (; left < length; left += stepMm)
      run.push({ x: a.x + ((b.x - a.x) * left) / length, y: a.y + ((b.y - a.y) * left) / length });
    left -= length;
  });
  return run;
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
