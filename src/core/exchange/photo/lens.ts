import type { Point } from "../../geometry/curve/bezier";

/**
 * How a lens draws away from straight: a place at `r` from the picture's middle, in units of `unitPx`, stands at
 * r · (1 + k · r²). Below 0 straight lines bow outward (barrel), above 0 inward (pincushion).
 * @see Brown, Close-range camera calibration, Photogrammetric Engineering 37 (1971): its first radial term (from memory).
 */
export interface Lens {
  readonly k: number;
  readonly middle: Point;
  readonly unitPx: number;
}

/** The lens of a picture, its radii in halves of the picture's diagonal. */
export function lensOf(picture: { readonly width: number; readonly height: number }, k: number): Lens {
  const middle = { x: picture.width / 2, y: picture.height / 2 };
  return { k, middle, unitPx: Math.hypot(middle.x, middle.y) };
}

/** Where the lens draws a place of the picture that would have straight lines, px. */
export function bentBy({ k, middle, unitPx }: Lens, { x, y }: Point): Point {
  const [u, v] = [x - middle.x, y - middle.y];
  const by = 1 + (k * (u * u + v * v)) / (unitPx * unitPx);
  return { x: middle.x + u * by, y: middle.y + v * by };
}

const ROUNDS = 12;
/** Nearer than this share of a radius is met. */
const MET = 1e-12;

/** Where a place that the lens drew would be with straight lines, px; null where no place is drawn there. */
export function straightened({ k, middle, unitPx }: Lens, { x, y }: Point): Point | null {
  const [u, v] = [x - middle.x, y - middle.y];
  const drawn = Math.hypot(u, v) / unitPx;
  if (!(drawn > 0)) return { x, y };
  let r = drawn;
  for (let i = 0; i < ROUNDS; i++) {
    const slope = 1 + 3 * k * r * r;
    if (!(slope > 0)) return null;
    const off = r * (1 + k * r * r) - drawn;
    r -= off / slope;
    if (Math.abs(off) <= MET) break;
  }
  if (!(Math.abs(r * (1 + k * r * r) - drawn) <= 1e-9)) return null;
  const by = r / drawn;
  return { x: middle.x + u * by, y: middle.y + v * by };
}
