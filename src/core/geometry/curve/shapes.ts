import { ROUNDING } from "../../base/tolerances";
import { type Cubic, type Point, straight } from "./bezier";
import { type Contour, contourOf } from "./contour";

/** A closed outline with straight sides through the corners, in their order. */
export function polygonContour(corners: readonly Point[]): Contour {
  return contourOf(corners.map((p, i) => straight(p, corners[(i + 1) % corners.length])));
}

/** The rectangle between two stations and two heights. */
export function boxContour(x0: number, x1: number, y0: number, y1: number): Contour {
  return polygonContour([
    { x: x0, y: y0 },
    { x: x1, y: y0 },
    { x: x1, y: y1 },
    { x: x0, y: y1 },
  ]);
}

/**
 * An arc of an ellipse from angle `from` to `to` (radians, from +x to +y) as cubics of 45° at most: within 5e-6 of
 * the radius.
 */
export function arc(centre: Point, rx: number, ry: number, from: number, to: number): Cubic[] {
  const n = Math.max(1, Math.ceil(Math.abs(to - from) / (Math.PI / 4) - ROUNDING));
  const step = (to - from) / n;
  // The cubic's control distance for an arc of that angle: 4/3·tan(angle/4).
  const k = (4 / 3) * Math.tan(step / 4);
  const at = (a: number, along: number): Point => ({
    x: centre.x + rx * (Math.cos(a) - along * Math.sin(a)),
    y: centre.y + ry * (Math.sin(a) + along * Math.cos(a)),
  });
  return Array.from({ length: n }, (_, i) => {
    const a = from + i * step;
    return { a: at(a, 0), b: at(a, k), c: at(a + step, -k), d: at(a + step, 0) };
  });
}

/** A whole ellipse. */
export function ellipseContour(centre: Point, rx: number, ry: number): Contour {
  return contourOf(arc(centre, rx, ry, 0, 2 * Math.PI));
}

/** A slot with round ends about its middle, turned by `angle` radians up toward +x. Shorter than wide, it is round. */
export function slotContour(middle: Point, lengthMm: number, widthMm: number, angle: number): Contour {
  const r = widthMm / 2;
  const reach = Math.max(0, lengthMm / 2 - r);
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const ahead = { x: middle.x + reach * c, y: middle.y + reach * s };
  const behind = { x: middle.x - reach * c, y: middle.y - reach * s };
  const front = arc(ahead, r, r, angle - Math.PI / 2, angle + Math.PI / 2);
  const rear = arc(behind, r, r, angle + Math.PI / 2, angle + (3 * Math.PI) / 2);
  if (!(reach > 0)) return contourOf([...front, ...rear]);
  return contourOf([
    ...front,
    straight(front[front.length - 1].d, rear[0].a),
    ...rear,
    straight(rear[rear.length - 1].d, front[0].a),
  ]);
}

/** A regular hexagon by its width across flats, two of them level. */
export function hexContour(middle: Point, acrossMm: number): Contour {
  const r = acrossMm / Math.sqrt(3);
  return polygonContour(
    Array.from({ length: 6 }, (_, i) => ({
      x: middle.x + r * Math.cos((i * Math.PI) / 3),
      y: middle.y + r * Math.sin((i * Math.PI) / 3),
    })),
  );
}
