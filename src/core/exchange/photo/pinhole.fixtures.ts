import { radians } from "../../base/number";
import type { Point } from "../../geometry/curve/bezier";

/** Corners of an A4 sheet lying across, mm. */
export const SHEET = [
  [0, 0],
  [297, 0],
  [297, 210],
  [0, 210],
].map(([x, y]) => ({ x, y }));

/** Pixels of a place over the sheet, seen by a camera at C that looks at a place of the sheet: a pinhole, worked out anew. */
export function pinhole(focal: number, c: readonly [number, number, number], lookAt: Point, rollDeg = 0) {
  const unit = (v: number[]) => v.map((x) => x / Math.hypot(...v));
  const cross = (a: number[], b: number[]) => [
    a[1] * b[2] - a[2] * b[1],
    a[2] * b[0] - a[0] * b[2],
    a[0] * b[1] - a[1] * b[0],
  ];
  const forward = unit([lookAt.x - c[0], lookAt.y - c[1], -c[2]]);
  const side = unit(cross(forward, [0.1, 1, 0]));
  const down = cross(forward, side);
  const [cos, sin] = [Math.cos(radians(rollDeg)), Math.sin(radians(rollDeg))];
  return (x: number, y: number, z = 0): Point => {
    const d = [x - c[0], y - c[1], z - c[2]];
    const along = (axis: number[]) => axis[0] * d[0] + axis[1] * d[1] + axis[2] * d[2];
    const [p, q, w] = [along(side), along(down), along(forward)];
    const [u, v] = [(focal * p) / w, (focal * q) / w];
    return { x: cos * u - sin * v, y: sin * u + cos * v };
  };
}
