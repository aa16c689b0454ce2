import { type Cubic, straight } from "../curve/bezier";
import { type Contour, contourOf } from "../curve/contour";
import { curveThrough } from "../curve/spline";
import { INSIDE_MM } from "../tolerances";

/** Stations that the inner outline is drawn through, and those that the outer one is read at. */
const KNOTS = 11;
const READ = 160;

/**
 * The outline `rimMm` inside another between the station `fromX` and its rear end: every point of it lies at least a
 * rim away from the outer one. Null where the rim leaves nothing.
 */
export function insetOutline(outline: Contour, rimMm: number, fromX: number): Contour | null {
  const butt = outline.xRange[0];
  const edges = Array.from({ length: READ + 1 }, (_, i) => {
    const x = butt + INSIDE_MM + ((outline.xRange[1] - butt - 2 * INSIDE_MM) * i) / READ;
    const ys = outline.cut(x);
    return { x, low: ys[0], high: ys[ys.length - 1] };
  }).filter((e) => e.low !== undefined);
  // The rim is swept along both edges as a circle: what stays clear of it everywhere is inside.
  const inner = (x: number) => {
    let [low, high] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
    for (const e of edges) {
      const off = e.x - x;
      if (Math.abs(off) >= rimMm) continue;
      const reach = Math.sqrt(rimMm * rimMm - off * off);
      low = Math.max(low, e.low + reach);
      high = Math.min(high, e.high - reach);
    }
    return { x, low, high };
  };
  const open = Array.from({ length: 81 }, (_, i) => inner(butt + rimMm + ((fromX - butt - rimMm) * i) / 80));
  const first = open.findIndex((p) => p.high - p.low > rimMm / 4);
  const last = open.findLastIndex((p) => p.high - p.low > rimMm / 4);
  if (first < 0 || !(open[last].x - open[first].x > 1)) return null;
  const [x0, x1] = [open[first].x, open[last].x];
  const at = Array.from({ length: KNOTS }, (_, i) => inner(x1 + ((x0 - x1) * i) / (KNOTS - 1)));
  const end = (i: number) => i === 0 || i === KNOTS - 1;
  const knots = [
    ...at.map((p, i) => ({ x: p.x, y: p.high, corner: end(i) })),
    ...at.map((p, i) => ({ x: p.x, y: p.low, corner: end(i) })).reverse(),
  ];
  const run: Cubic[] = curveThrough(knots);
  return contourOf([...run, straight(run[run.length - 1].d, run[0].a)]);
}
