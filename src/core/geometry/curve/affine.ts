import { radians } from "../../base/number";
import type { Point } from "./bezier";

/** A map of the plane: (x, y) to (a·x + c·y + e, b·x + d·y + f). */
export type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export const SAME: Affine = [1, 0, 0, 1, 0, 0];

export const through = ([a, b, c, d, e, f]: Affine, p: Point): Point => ({
  x: a * p.x + c * p.y + e,
  y: b * p.x + d * p.y + f,
});

/** The second map first, then the first. */
export const after = (m: Affine, n: Affine): Affine => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
];

export const shifted = (x: number, y: number): Affine => [1, 0, 0, 1, x, y];
export const stretched = (x: number, y = x): Affine => [x, 0, 0, y, 0, 0];
/** Turned to the left by so many degrees, where y is up. */
export const turned = (deg: number): Affine => {
  const [c, s] = [Math.cos(radians(deg)), Math.sin(radians(deg))];
  return [c, s, -s, c, 0, 0];
};

/** By how much it enlarges, where it enlarges alike in every direction; else null. */
export function likeScale([a, b, c, d]: Affine): number | null {
  const [p, q] = [Math.hypot(a, b), Math.hypot(c, d)];
  const alike = Math.abs(a * c + b * d) < ALIKE * p * q && Math.abs(p - q) < ALIKE * p;
  return alike ? p : null;
}

/** Differences under this share are rounding. */
const ALIKE = 1e-9;
