import type { Point } from "../curve/bezier";

/** Of what a closed run of chords encloses: area (mm², + counter-clockwise), centroid, and second moments about that, per area (mm²). */
export interface AreaMoments {
  readonly areaMm2: number;
  readonly centre: Point;
  readonly xx: number;
  readonly yy: number;
  readonly xy: number;
}

/** Green's theorem over the chords; null where they enclose nothing. @see any text on polygons. */
export function areaMoments(run: readonly Point[]): AreaMoments | null {
  // About its first place, so that what lies far off loses no digits.
  const [o] = run;
  if (!o) return null;
  let [area, x, y, xx, yy, xy] = [0, 0, 0, 0, 0, 0];
  run.forEach((p, i) => {
    const q = run[(i + 1) % run.length];
    const [a, b] = [
      { x: p.x - o.x, y: p.y - o.y },
      { x: q.x - o.x, y: q.y - o.y },
    ];
    const cross = a.x * b.y - b.x * a.y;
    area += cross / 2;
    x += ((a.x + b.x) * cross) / 6;
    y += ((a.y + b.y) * cross) / 6;
    xx += (cross * (a.x * a.x + a.x * b.x + b.x * b.x)) / 12;
    yy += (cross * (a.y * a.y + a.y * b.y + b.y * b.y)) / 12;
    xy += (cross * (a.x * b.y + 2 * a.x * a.y + 2 * b.x * b.y + b.x * a.y)) / 24;
  });
  if (!(Math.abs(area) > 0)) return null;
  const [cx, cy] = [x / area, y / area];
  return {
    areaMm2: area,
    centre: { x: o.x + cx, y: o.y + cy },
    xx: xx / area - cx * cx,
    yy: yy / area - cy * cy,
    xy: xy / area - cx * cy,
  };
}
