import type { Point } from "../../geometry/curve/bezier";
import { enclosedArea } from "../../geometry/curve/crossing";

/** A pencil or a marker draws lines no wider than this, mm; what is wider is a piece with a hole in it. */
const WIDEST_LINE_MM = 2.2;
/** Beside a line of a pen another one of the same pen is no wider than so many times that. */
const SAME_PEN = 1.6;
/** Where no pen is known yet, what a line goes round is at least so much of what lies within its outer edge. */
const FILLED_SHARE = 0.45;
/** A line is about as wide all along: so many of its places lie within these shares of its middle width. */
const EVEN_SHARE = 0.9;
const EVEN = [0.3, 2.2] as const;

/** A line that goes round, by its middle. */
export interface DrawnLine {
  readonly points: readonly Point[];
  readonly widthMm: number;
}

/** How long a closed run is. */
const lengthOf = (run: readonly Point[]) =>
  run.reduce((sum, p, i) => {
    const q = run[(i + 1) % run.length];
    return sum + Math.hypot(q.x - p.x, q.y - p.y);
  }, 0);

/**
 * The line that a pencil or a marker drew, where a region is no more than that: its outer edge and the edges of what it goes
 * round, all the way near each other. Lines that part what it goes round, such as a handle's front, are of it. The middle
 * between both edges. `penMm` is the width of the pen where one is known. Null of a piece. Places in mm.
 */
export function drawnLine(
  outer: readonly Point[],
  inner: readonly (readonly Point[])[],
  penMm: number | null,
): DrawnLine | null {
  if (inner.length === 0) return null;
  const [around, within] = [enclosedArea(outer), inner.reduce((sum, run) => sum + enclosedArea(run), 0)];
  if (penMm === null && !(within >= FILLED_SHARE * around)) return null;
  const edges = lengthOf(outer) + inner.reduce((sum, run) => sum + lengthOf(run), 0);
  const widthMm = (2 * (around - within)) / edges;
  if (!(widthMm <= (penMm === null ? WIDEST_LINE_MM : SAME_PEN * penMm))) return null;
  const across = outer.map((p) => nearestOn(inner, p));
  const even = across.filter(({ offMm }) => offMm > EVEN[0] * widthMm && offMm < EVEN[1] * widthMm);
  if (even.length < EVEN_SHARE * outer.length) return null;
  return { points: outer.map((p, i) => between(p, across[i].at)), widthMm };
}

const between = (p: Point, q: Point): Point => ({ x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 });

function nearestOn(runs: readonly (readonly Point[])[], p: Point): { at: Point; offMm: number } {
  let [at, best] = [p, Infinity];
  for (const run of runs)
    for (let i = 0; i < run.length; i++) {
      const [a, b] = [run[i], run[(i + 1) % run.length]];
      const [ux, uy] = [b.x - a.x, b.y - a.y];
      const square = ux * ux + uy * uy;
      const t = square > 0 ? Math.min(1, Math.max(0, ((p.x - a.x) * ux + (p.y - a.y) * uy) / square)) : 0;
      const q = { x: a.x + t * ux, y: a.y + t * uy };
      const off = (q.x - p.x) ** 2 + (q.y - p.y) ** 2;
      if (off < best) [at, best] = [q, off];
    }
  return { at, offMm: Math.sqrt(best) };
}

/** A line is worth telling of that is so long at least, mm. */
const LONG_LINE_MM = 60;

/** How long a line is that does not close, mm, where a region without holes is no more than one; null of a piece. */
export function openLine(outer: readonly Point[]): number | null {
  const edge = lengthOf(outer);
  const widthMm = (2 * enclosedArea(outer)) / edge;
  const isLine = widthMm <= WIDEST_LINE_MM && edge / 2 >= LONG_LINE_MM;
  return isLine ? edge / 2 : null;
}
