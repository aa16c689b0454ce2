import type { Point } from "../geometry/curve/bezier";

/** A box that a line is cut to. */
export interface Box {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}

const inside = ({ x0, x1, y0, y1 }: Box, p: Point) => p.x >= x0 && p.x <= x1 && p.y >= y0 && p.y <= y1;

/** Where a stretch from inside of a box to outside leaves it. */
function leaving(box: Box, from: Point, to: Point): Point {
  const at = (wall: number, a: number, b: number) =>
    (b > a && wall >= a) || (b < a && wall <= a) ? (wall - a) / (b - a) : Number.POSITIVE_INFINITY;
  const t = Math.min(
    1,
    to.x > box.x1 ? at(box.x1, from.x, to.x) : 1,
    to.x < box.x0 ? at(box.x0, from.x, to.x) : 1,
    to.y > box.y1 ? at(box.y1, from.y, to.y) : 1,
    to.y < box.y0 ? at(box.y0, from.y, to.y) : 1,
  );
  return { x: from.x + t * (to.x - from.x), y: from.y + t * (to.y - from.y) };
}

/** The longest stretch of a closed line that lies inside of a box, cut at its walls; null where none does. */
export function stretchInside(loop: readonly Point[], box: Box): readonly Point[] | null {
  const n = loop.length;
  const first = loop.findIndex((p, i) => inside(box, p) && !inside(box, loop[(i + n - 1) % n]));
  if (first < 0) return null;
  const stretches: Point[][] = [];
  let open: Point[] | null = null;
  for (let k = 0; k < n; k++) {
    const [before, p] = [loop[(first + k + n - 1) % n], loop[(first + k) % n]];
    if (inside(box, p)) {
      open ??= [leaving(box, p, before)];
      open.push(p);
    } else if (open) {
      stretches.push([...open, leaving(box, before, p)]);
      open = null;
    }
  }
  if (open) stretches.push([...open, leaving(box, loop[(first + n - 1) % n], loop[first])]);
  return stretches.sort((a, b) => b.length - a.length)[0] ?? null;
}
