import { SAME_STATION_MM } from "../../base/tolerances";
import { type Cubic, cubicX, cubicY, parameterAtX, turnsInX } from "./bezier";
import { steepPlaces } from "./steep";

/** A station in x where something about a shape changes; `below`/`above` say on which side it does so like a root. */
export interface Break {
  readonly x: number;
  readonly below: boolean;
  readonly above: boolean;
}

/** A stretch of contour that runs one way in x. */
interface Run {
  readonly cubic: Cubic;
  readonly t0: number;
  readonly t1: number;
  readonly xLow: number;
  readonly xHigh: number;
}

/** A closed outline in the x–y plane, ready to be cut by lines of constant x. */
export interface Contour {
  readonly cubics: readonly Cubic[];
  readonly xRange: readonly [number, number];
  /** Ends of segments, turning points, and places that part steep stretches from others. */
  readonly breaks: readonly Break[];
  /** Where the line at x is inside: y0, y1, y0, y1 …, ascending; empty outside. */
  cut(x: number): number[];
}

/** Prepares a closed outline. The segments must join end to start; the last ends where the first began. */
export function contourOf(cubics: readonly Cubic[]): Contour {
  const runs: Run[] = [];
  const breaks: Break[] = [];
  for (const cubic of cubics) {
    const turns = turnsInX(cubic);
    const ends = [0, ...turns, 1];
    for (const t of ends) {
      const x = cubicX(cubic, t);
      // Beside a turning point the outline runs off like a square root, on the side that it comes from.
      const turning =
        turns.includes(t) ||
        (t === 0
          ? isUpright(cubic.a.x, cubic.b.x, cubic)
          : t === 1 && isUpright(cubic.d.x, cubic.c.x, cubic));
      breaks.push({ x, below: turning, above: turning });
    }
    for (let i = 0; i + 1 < ends.length; i++) {
      const x0 = cubicX(cubic, ends[i]);
      const x1 = cubicX(cubic, ends[i + 1]);
      for (const t of steepPlaces(cubic, ends[i], ends[i + 1]))
        breaks.push({ x: cubicX(cubic, t), below: false, above: false });
      if (Math.abs(x1 - x0) < SAME_STATION_MM) continue;
      runs.push({ cubic, t0: ends[i], t1: ends[i + 1], xLow: Math.min(x0, x1), xHigh: Math.max(x0, x1) });
    }
  }
  const xs = runs.flatMap((r) => [r.xLow, r.xHigh]);
  const xRange: [number, number] = xs.length > 0 ? [Math.min(...xs), Math.max(...xs)] : [0, 0];
  return { cubics, xRange, breaks, cut: (x) => cut(runs, x) };
}

/** A tangent leans no more than this share of the segment where it stands upright. */
const STRAIGHT_UP = 1e-6;

/** Whether a segment leaves its end straight up or down: a tangent handle with no reach in x. */
function isUpright(endX: number, handleX: number, c: Cubic): boolean {
  const size = Math.abs(c.d.x - c.a.x) + Math.abs(c.d.y - c.a.y);
  return Math.abs(handleX - endX) < STRAIGHT_UP * size && Math.abs(c.d.x - c.a.x) > SAME_STATION_MM;
}

function cut(runs: readonly Run[], x: number): number[] {
  const ys: number[] = [];
  for (const r of runs) {
    if (x < r.xLow || x >= r.xHigh) continue;
    ys.push(cubicY(r.cubic, parameterAtX(r.cubic, r.t0, r.t1, x)));
  }
  return ys.sort((a, b) => a - b);
}

/** How far up and down from a place the outline is, the nearer of both, mm; below zero outside, −1 where the line at x meets none of it. */
export function insideBy({ xRange, cut }: Contour, x: number, y: number): number {
  const ys = x > xRange[0] && x < xRange[1] ? cut(x) : [];
  return ys.length < 2 ? -1 : Math.min(y - ys[0], ys[ys.length - 1] - y);
}
