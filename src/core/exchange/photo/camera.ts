import { degrees } from "../../base/number";
import type { Point } from "../../geometry/curve/bezier";
import type { PictureTold } from "./exif";
import type { Homography } from "./homography";
import type { TruePlane } from "./planeScale";

/** From where a plane was photographed: how high over it, and over which place of it (mm, y downward as in the picture). */
export interface Camera {
  readonly heightMm: number;
  readonly foot: Point;
  /** Between the line of sight and straight down. */
  readonly tiltDeg: number;
  /** Focal length in pixels. */
  readonly focalPx: number;
}

/** What is known of a camera besides the sheet: its focal length in pixels, or its height over the sheet. */
export type KnownOfCamera =
  | { readonly focalPx: number; readonly heightMm?: undefined }
  | { readonly heightMm: number; readonly focalPx?: undefined };

/**
 * With less tilt the sheet's perspective says nothing of the focal length: at 5° the height is off by 10 %, at 2° by 45 %
 * (worked out from corners that are a pixel off; from memory).
 */
export const LEAST_TILT_DEG = 5;

type Triple = readonly [number, number, number];
const dot = (a: Triple, b: Triple) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const times = (a: Triple, by: number): Triple => [a[0] * by, a[1] * by, a[2] * by];
const cross = (a: Triple, b: Triple): Triple => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** The columns of the map from the plane, mm, to pixels from the picture's middle. */
function columnsOf(h: Homography, middle: Point): readonly [Triple, Triple, Triple] {
  const column = (k: number): Triple => [
    h[k] - middle.x * h[6 + k],
    h[3 + k] - middle.y * h[6 + k],
    h[6 + k],
  ];
  return [column(0), column(1), column(2)];
}

/**
 * The focal length in pixels that a plane's perspective asks for, of square pixels and a middle that is the lens's: null
 * where there is none. With the map's first two columns h₁, h₂: they are at right angles and of one length once the first
 * two rows are divided by f. @see Zhang, A flexible new technique for camera calibration, 2000, section 2.3 (from memory).
 */
export function focalFromPlane(h: Homography, middle: Point): number | null {
  const [u, v] = columnsOf(h, middle);
  const a1 = u[0] * v[0] + u[1] * v[1];
  const b1 = u[2] * v[2];
  const a2 = (u[0] ** 2 + u[1] ** 2 - v[0] ** 2 - v[1] ** 2) / 2;
  const b2 = (u[2] ** 2 - v[2] ** 2) / 2;
  const square = -(a1 * b1 + a2 * b2) / (b1 ** 2 + b2 ** 2);
  return square > 0 && Number.isFinite(square) ? Math.sqrt(square) : null;
}

/** Where a camera of a focal length stood. */
export function cameraOf(h: Homography, middle: Point, focalPx: number): Camera | null {
  const [u, v, t] = columnsOf(h, middle).map(([x, y, w]): Triple => [x / focalPx, y / focalPx, w]);
  // Both columns are of one length but for what the focal length is off by.
  const length = Math.sqrt((dot(u, u) + dot(v, v)) / 2);
  if (!(length > 0)) return null;
  // The plane lies in front of the camera.
  const by = (t[2] >= 0 ? 1 : -1) / length;
  const [r1, r2, shift] = [times(u, by), times(v, by), times(t, by)];
  const r3 = cross(r1, r2);
  const camera = {
    heightMm: Math.abs(dot(r3, shift)),
    foot: { x: -dot(r1, shift), y: -dot(r2, shift) },
    tiltDeg: degrees(Math.acos(Math.min(1, Math.abs(r3[2])))),
    focalPx,
  };
  return [camera.heightMm, camera.foot.x, camera.foot.y, camera.tiltDeg].every(Number.isFinite) &&
    camera.heightMm > 0
    ? camera
    : null;
}

/** What is known of how a picture was taken: its size, px, and what its file tells. */
export interface PictureTaken extends PictureTold {
  readonly width: number;
  readonly height: number;
}

/** From where a photo was taken: by what its maker says, by the sheet's perspective, or by what its file tells. */
export function cameraFor(
  plane: Pick<TruePlane, "toPixels">,
  picture: PictureTaken,
  cameraMm: number | null,
): Camera | null {
  if (cameraMm !== null) return cameraOver(plane, picture, { heightMm: cameraMm });
  // The middle of what was cropped is not the lens's.
  if (picture.isCropped) return null;
  const seen = cameraOver(plane, picture, null);
  if (seen || picture.focalPx === null) return seen;
  return cameraOver(plane, picture, { focalPx: picture.focalPx });
}

/**
 * The camera that photographed a plane: by what is known of it, or by the plane's own perspective; null where that is too
 * little to go by. The picture must be whole: the lens's middle is taken to be its middle.
 */
export function cameraOver(
  { toPixels }: Pick<TruePlane, "toPixels">,
  picture: { readonly width: number; readonly height: number },
  known: KnownOfCamera | null,
): Camera | null {
  const middle = { x: picture.width / 2, y: picture.height / 2 };
  if (known?.focalPx !== undefined) return cameraOf(toPixels, middle, known.focalPx);
  if (known) return cameraAtHeight(toPixels, middle, known.heightMm);
  const focalPx = focalFromPlane(toPixels, middle);
  const camera = focalPx === null ? null : cameraOf(toPixels, middle, focalPx);
  return camera && camera.tiltDeg >= LEAST_TILT_DEG ? camera : null;
}

const ROUNDS = 60;
/** Focal lengths that cameras have, in halves of the picture's diagonal: from a fisheye's to a telescope's. */
const FOCAL_SHARES = [0.2, 40] as const;

/** The camera that stood so high: its height grows with its focal length. */
function cameraAtHeight(h: Homography, middle: Point, heightMm: number): Camera | null {
  const halfDiagonal = Math.hypot(middle.x, middle.y);
  let [low, high] = FOCAL_SHARES.map((share) => share * halfDiagonal);
  for (let i = 0; i < ROUNDS; i++) {
    const focal = Math.sqrt(low * high);
    const camera = cameraOf(h, middle, focal);
    if (!camera) return null;
    if (camera.heightMm < heightMm) low = focal;
    else high = focal;
  }
  const camera = cameraOf(h, middle, Math.sqrt(low * high));
  return camera && Math.abs(camera.heightMm / heightMm - 1) < 1e-3 ? camera : null;
}

/**
 * Where a place at a height over the plane is, that is seen at a place of the plane: it is drawn away from the camera's foot
 * by h/(h − z), at any tilt.
 */
export function lowered(
  { foot, heightMm }: Pick<Camera, "foot" | "heightMm">,
  seen: Point,
  overMm: number,
): Point {
  const share = (heightMm - overMm) / heightMm;
  return { x: foot.x + (seen.x - foot.x) * share, y: foot.y + (seen.y - foot.y) * share };
}
