import type { Work } from "../../base/work";
import { boxOf, straightLoop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { SHORTEST_MM } from "./sizes";

/** No part of a knife is a rectangle as high as this with another part drawn in it, mm. Common practice, no source. */
const FRAME_MM = 60;
/** What is drawn in a frame and does not close is at least so high: a centre line is not, mm. */
const FRAMED_HIGH_MM = 5;
/** Places of a rectangle lie on its sides within this share of it. */
const ON_SIDE = 2e-3;
/** What holding one box against another costs. */
const COMPARED = 0.1;

/** What is told of a shape: its line, where it is not a circle. */
type Line = {
  readonly kind: "outline" | "open";
  readonly points: readonly Point[];
  readonly aside?: "page" | "frame";
};
type Shape = Line | { readonly kind: "circle" };

type Box = NonNullable<ReturnType<typeof boxOf>>;

/** Shapes, the largest first, with those that are pages and frames named, and after all others. Throws `TooMuchWork`. */
export function withAsides<S extends Shape>(shapes: readonly S[], work: Work): S[] {
  const lines = shapes.flatMap((s): Line[] => (s.kind === "circle" ? [] : [s]));
  const boxes = new Map<Shape, Box | null>(lines.map((s) => [s, boxOf([straightLoop(s.points)])]));
  const isFrame = (shape: Line): boolean => {
    const box = boxes.get(shape);
    if (shape.kind !== "outline" || !box || lowestOf(box) < FRAME_MM || !isRectangle(shape.points, box))
      return false;
    work.spend(lines.length * COMPARED);
    return lines.some((other) => {
      const inner = boxes.get(other);
      if (other === shape || !inner || longestOf(inner) < SHORTEST_MM || !holds(box, inner)) return false;
      return other.kind === "outline" || lowestOf(inner) >= FRAMED_HIGH_MM;
    });
  };
  const named = shapes.map((s) =>
    s.kind !== "circle" && !s.aside && isFrame(s) ? { ...s, aside: "frame" as const } : s,
  );
  const last = (s: S) => (s.kind !== "circle" && s.aside ? 1 : 0);
  return named.sort((a, b) => last(a) - last(b));
}

const lowestOf = (b: Box) => Math.min(b.x1 - b.x0, b.y1 - b.y0);
const longestOf = (b: Box) => Math.max(b.x1 - b.x0, b.y1 - b.y0);

const holds = (outer: Box, inner: Box): boolean =>
  inner.x0 >= outer.x0 && inner.x1 <= outer.x1 && inner.y0 >= outer.y0 && inner.y1 <= outer.y1;

/** Whether every place of a closed run lies on its box, and the box's corners are among them. */
function isRectangle(points: readonly Point[], box: Box): boolean {
  const off = ON_SIDE * longestOf(box);
  const near = (a: number, b: number) => Math.abs(a - b) <= off;
  const onSide = (p: Point) =>
    near(p.x, box.x0) || near(p.x, box.x1) || near(p.y, box.y0) || near(p.y, box.y1);
  const corners = [box.x0, box.x1].flatMap((x) => [box.y0, box.y1].map((y) => ({ x, y })));
  return points.every(onSide) && corners.every((c) => points.some((p) => near(p.x, c.x) && near(p.y, c.y)));
}
