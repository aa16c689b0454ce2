import type { Point } from "../geometry/curve/bezier";
import { lengthOf } from "../geometry/curve/crossing";

/** Needles' tails, mm, and stitches that go back over others at either end. Common practice, no source. */
const TAILS_MM = 300;
export const BACK_STITCHES = 4;
/** Thread by the rule of thumb: so many times the seam. */
const RULE = 9;

export interface Stitches {
  readonly holes: readonly Point[];
  readonly seamMm: number;
  /** Mean, mm. */
  readonly pitchMm: number;
}

/** Points along a path at even distances, both ends among them. */
function even(path: readonly Point[], count: number): Point[] {
  const step = lengthOf(path) / count;
  const points: Point[] = [path[0]];
  let [at, left] = [0, step];
  let from = path[0];
  while (points.length < count && at + 1 < path.length) {
    const to = path[at + 1];
    const far = Math.hypot(to.x - from.x, to.y - from.y);
    if (far < left) {
      left -= far;
      from = to;
      at++;
      continue;
    }
    from = { x: from.x + ((to.x - from.x) * left) / far, y: from.y + ((to.y - from.y) * left) / far };
    points.push(from);
    left = step;
  }
  points.push(path[path.length - 1]);
  return points;
}

/**
 * Holes along a seam with a point, one of them on it: laid from the point outward, the pitch of each leg stretched to end on a
 * hole. `at` is the number of the path's point that is the point of the V.
 */
export function stitchesOn(path: readonly Point[], at: number, pitchMm: number): Stitches {
  const legs = [path.slice(0, at + 1), path.slice(at)].filter((l) => l.length > 1);
  const placed = legs.map((leg) => even(leg, Math.max(1, Math.round(lengthOf(leg) / pitchMm))));
  const holes = placed.flatMap((leg, i) => (i === 0 ? leg : leg.slice(1)));
  const seamMm = lengthOf(path);
  return { holes, seamMm, pitchMm: seamMm / Math.max(1, holes.length - 1) };
}

/**
 * Thread for a saddle stitch, mm: by the rule, and by the way that it goes: both needles along each stitch, and through the
 * thickness at each hole.
 */
export const threadMm = (
  { stitches, pitchMm, seamMm }: { stitches: number; pitchMm: number; seamMm: number },
  throughMm: number,
  back = BACK_STITCHES,
) => {
  const n = stitches + back;
  return { rule: RULE * seamMm, geometry: 2 * n * pitchMm + (2 * n + 1) * throughMm + TAILS_MM };
};
