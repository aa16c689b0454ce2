import type { Point } from "../../geometry/curve/bezier";

/** One number of a cell's three. Two cells may share it: what is in them is compared all the same. */
export const cellKey = (i: number, k: number, l: number) =>
  (Math.imul(i, 73856093) ^ Math.imul(k, 19349663) ^ Math.imul(l, 83492791)) >>> 0;

export const apart = (p: Point, q: Point) => Math.hypot(p.x - q.x, p.y - q.y);
