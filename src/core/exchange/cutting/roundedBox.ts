import { ROUNDING } from "../../base/tolerances";
import type { Loop } from "../../geometry/contours/loop";

/** tan(90°/4): the bulge of a quarter circle. */
const QUARTER = Math.tan(Math.PI / 8);

/**
 * An opening about x = 0, its middle at a height, with round corners, clockwise: corners of half its width make its ends
 * round, and of a square one a circle.
 */
export function roundedBox(yMm: number, widthMm: number, heightMm: number, cornerMm: number): Loop {
  const r = Math.max(0, Math.min(cornerMm, widthMm / 2, heightMm / 2));
  const [x, y] = [widthMm / 2, heightMm / 2];
  const corners = [
    [x - r, y, x, y - r],
    [x, -y + r, x - r, -y],
    [-x + r, -y, -x, -y + r],
    [-x, y - r, -x + r, y],
  ] as const;
  // Each corner as where it begins and where it ends, on the way round; clockwise arcs bend to the right.
  const bends = corners.flatMap(([x0, y0, x1, y1]) => [
    { x: x0, y: yMm + y0, bulge: r > 0 ? -QUARTER : 0 },
    { x: x1, y: yMm + y1, bulge: 0 },
  ]);
  return bends.filter((b, i) => {
    const next = bends[(i + 1) % bends.length];
    return Math.hypot(next.x - b.x, next.y - b.y) > ROUNDING;
  });
}
