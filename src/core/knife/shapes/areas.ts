import { type Contour, insideBy } from "../../geometry/curve/contour";
import { polyline } from "../../geometry/curve/crossing";
import type { Region } from "../../geometry/solids/region";
import type { Lengthwise } from "../design/schema";
import { lengthwiseOutlines } from "./lengthwise";
import type { Layout } from "./types";

/** Area from the side between two stations, mm². */
export function areaBetween(outline: Contour, from: number, to: number): number {
  const [x0, x1] = [Math.max(from, outline.xRange[0]), Math.min(to, outline.xRange[1])];
  if (!(x1 > x0)) return 0;
  const n = 200;
  let area = 0;
  for (let i = 0; i < n; i++) {
    const ys = outline.cut(x0 + ((x1 - x0) * (i + 0.5)) / n);
    for (let k = 0; k + 1 < ys.length; k += 2) area += ((ys[k + 1] - ys[k]) * (x1 - x0)) / n;
  }
  return area;
}

/** Rows that a cross-section's area is summed over. */
const ROWS = 80;

/** Area of a body's cross-section at a station, mm²; what lies within `insideMm` of the middle plane left out. */
export function sectionArea(body: Region, x: number, insideMm = 0): number {
  const slice = body.sliceAt(x);
  let area = 0;
  for (let k = 0; slice?.ys && k + 1 < slice.ys.length; k += 2) {
    const step = (slice.ys[k + 1] - slice.ys[k]) / ROWS;
    for (let i = 0; i < ROWS; i++) {
      const y = slice.ys[k] + (i + 0.5) * step;
      area += step * (Math.max(0, slice.high(y) - insideMm) + Math.max(0, -slice.low(y) - insideMm));
    }
  }
  return area;
}

/** Chords that a joint along the handle is measured by. */
const CHORDS = 60;

/** Area that is glued along the handle on both sides, mm²: of a sheet in the joint both faces. */
export function lengthwiseArea(
  lengthwise: Lengthwise | null,
  { surfaceAt, tangAt, outline }: Layout,
  liners = 0,
): number {
  if (!lengthwise) return 0;
  const points = polyline(lengthwiseOutlines(lengthwise).curve, CHORDS);
  let area = 0;
  for (let i = 0; i + 1 < points.length; i++) {
    const [p, q] = [points[i], points[i + 1]];
    const [x, y] = [(p.x + q.x) / 2, (p.y + q.y) / 2];
    if (!(insideBy(outline, x, y) > 0)) continue;
    const { highY, lowY, halfMm } = tangAt(x);
    const inside = (y > lowY && y < highY ? halfMm : 0) + liners;
    for (const side of ["right", "left"] as const)
      area += Math.max(0, surfaceAt(x, y, side) - inside) * Math.hypot(q.x - p.x, q.y - p.y);
  }
  return area * (lengthwise.divider ? 2 : 1);
}
