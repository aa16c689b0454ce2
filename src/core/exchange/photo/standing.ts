import { signedArea, straightLoop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { type Camera, lowered } from "./camera";

/** Beside a change from one edge to the other so much more than the change itself is left out, mm. */
const BESIDE_MM = 0.3;
/**
 * A border runs in the line of sight where its normal leans no further out of that than so, as a cosine. In a hole both edges
 * cross at a corner, which a picture rounds off.
 */
const ALONG_SIGHT = { outer: 0.35, hole: 0.8 } as const;

/**
 * The outline of a piece of even thickness that lies on the paper, from the border that is seen of it: where the border
 * faces away from the camera's foot its upper edge is seen, and stands further out than it is; where it faces the foot its
 * lower edge is, where it is. Between both the side wall is seen from one to the other, along the line of sight: those places
 * are left out. Of a hole the material lies outside it. Places in mm.
 */
export function standing(
  border: readonly Point[],
  around: "outer" | "hole",
  camera: Pick<Camera, "foot" | "heightMm">,
  thicknessMm: number,
): Point[] {
  const n = border.length;
  if (n < 8) return [...border];
  const turn = signedArea(straightLoop(border)) > 0 === (around === "outer") ? 1 : -1;
  /** Cosine between the material's outward normal and the way from the foot. */
  const away = border.map((p, i) => {
    const [a, b] = [border[(i - 2 + n) % n], border[(i + 2) % n]];
    const [tx, ty] = [b.x - a.x, b.y - a.y];
    const [fx, fy] = [p.x - camera.foot.x, p.y - camera.foot.y];
    const size = Math.hypot(tx, ty) * Math.hypot(fx, fy);
    return size > 0 ? (turn * (ty * fx - tx * fy)) / size : 0;
  });
  const isWall = wallPlaces(border, away, camera, thicknessMm, ALONG_SIGHT[around]);
  return border.flatMap((p, i) => {
    if (isWall[i]) return [];
    return [away[i] > 0 ? lowered(camera, p, thicknessMm) : p];
  });
}

/** Which places of a border are of the side wall, seen from its lower to its upper edge. */
function wallPlaces(
  border: readonly Point[],
  away: readonly number[],
  camera: Pick<Camera, "foot" | "heightMm">,
  thicknessMm: number,
  alongSight: number,
): boolean[] {
  const n = border.length;
  const isWall = new Array<boolean>(n).fill(false);
  for (let i = 0; i < n; i++) {
    const next = (i + 1) % n;
    if (away[i] > 0 === away[next] > 0) continue;
    const shift = lowered(camera, border[i], thicknessMm);
    const within = BESIDE_MM + Math.hypot(shift.x - border[i].x, shift.y - border[i].y);
    for (const [from, step] of [
      [i, -1],
      [next, 1],
    ]) {
      let [at, run] = [from, 0];
      while (run <= within && Math.abs(away[at]) < alongSight) {
        isWall[at] = true;
        const before = border[at];
        at = (at + step + n) % n;
        run += Math.hypot(border[at].x - before.x, border[at].y - before.y);
        if (at === from) break;
      }
    }
  }
  return isWall;
}
