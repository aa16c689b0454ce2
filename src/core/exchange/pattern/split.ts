import type { Point } from "../../geometry/curve/bezier";

/** A blank cut through at the datum: open runs from where its upper edge crosses there to where its lower one does. */
export interface SplitBlank {
  /** Round the tip. */
  readonly ahead: readonly Point[];
  /** Round the butt. */
  readonly behind: readonly Point[];
}

/** A closed run in the knife's frame, cut through at x = 0; null where it does not reach over the datum on both sides. */
export function splitAtDatum(points: readonly Point[]): SplitBlank | null {
  const n = points.length;
  const crossed = points.flatMap((a, i) => {
    const b = points[(i + 1) % n];
    return a.x > 0 !== b.x > 0 ? [{ i, y: a.y + ((0 - a.x) / (b.x - a.x)) * (b.y - a.y) }] : [];
  });
  if (crossed.length < 2) return null;
  const top = crossed.reduce((best, c) => (c.y > best.y ? c : best));
  const bottom = crossed.reduce((best, c) => (c.y < best.y ? c : best));
  if (top === bottom) return null;
  /** Places from behind one crossing on to another, with both of them. */
  const run = (from: typeof top, to: typeof top): Point[] => {
    const between: Point[] = [];
    for (let i = (from.i + 1) % n; ; i = (i + 1) % n) {
      between.push(points[i]);
      if (i === to.i) break;
    }
    return [{ x: 0, y: from.y }, ...between, { x: 0, y: to.y }];
  };
  const [one, other] = [run(top, bottom), run(bottom, top).reverse()].map(withoutShoulder);
  const reach = (r: readonly Point[]) => Math.max(...r.map((p) => p.x));
  return reach(one) > reach(other) ? { ahead: one, behind: other } : { ahead: other, behind: one };
}

/** Places nearer to the datum than this stand on it, mm. */
const ON_DATUM_MM = 1e-3;

/** A run without what of it lies along the datum itself, as the step of a shoulder does. */
function withoutShoulder(run: readonly Point[]): Point[] {
  const isOff = (p: Point) => Math.abs(p.x) > ON_DATUM_MM;
  const [first, last] = [run.findIndex(isOff), run.findLastIndex(isOff)];
  return first < 0 ? [...run] : run.slice(Math.max(0, first - 1), last + 2);
}

/** A closed run as an open one from the upper to the lower corner of its front: the places farthest up and down ahead. */
export function openedAtFront(points: readonly Point[]): Point[] {
  const most = (of: (p: Point) => number) =>
    points.reduce((best, p, i) => (of(p) > of(points[best]) ? i : best), 0);
  const [top, bottom] = [most((p) => p.x + p.y), most((p) => p.x - p.y)];
  const walk = (step: 1 | -1): Point[] => {
    const run = [points[top]];
    for (let i = top; i !== bottom; ) {
      i = (i + step + points.length) % points.length;
      run.push(points[i]);
    }
    return run;
  };
  const [one, other] = [walk(1), walk(-1)];
  const back = (r: readonly Point[]) => Math.min(...r.map((p) => p.x));
  return back(one) < back(other) ? one : other;
}

/** A closed run as two from its rearmost stretch to its tip: along its upper edge, and along its lower one. */
export function edgesToTip(open: readonly Point[]): {
  readonly upper: readonly Point[];
  readonly lower: readonly Point[];
} {
  const tip = open.reduce((best, p, i) => (p.x > open[best].x ? i : best), 0);
  return { upper: open.slice(0, tip + 1), lower: open.slice(tip).reverse() };
}
