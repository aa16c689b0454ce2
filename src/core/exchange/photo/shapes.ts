import { contours } from "d3-contour";
import type { Point } from "../../geometry/curve/bezier";
import { enclosedArea } from "../../geometry/curve/crossing";
import { fitCircle } from "../pattern/fitCircle";
import { asFound, type Found, type FoundShapes } from "../pattern/found";
import { type Camera, cameraOver } from "./camera";
import { projected } from "./homography";
import { type GreyImage, otsuThreshold, shadeAt, smoothed } from "./image";
import type { TruePlane } from "./planeScale";
import { withoutSpecks } from "./specks";
import { standing } from "./standing";

/** How a shape is separated from its background. */
export interface Seeing {
  readonly shape: "dark" | "light";
  /** Shade that parts shape and ground; null for the one that parts them best. */
  readonly threshold: number | null;
  /** How far the picture is smoothed first, mm. */
  readonly smoothMm: number;
  /** Of a piece that lies on the paper; 0 of what is drawn on it, null where nobody has said. */
  readonly thicknessMm: number | null;
  /** How high the camera was over the paper, where its maker knows; null where the picture has to tell. */
  readonly cameraMm: number | null;
}

export const USUAL_SEEING: Seeing = {
  shape: "dark",
  threshold: null,
  smoothMm: 0.25,
  thicknessMm: null,
  cameraMm: null,
};

/** What is doubtful about a photo's outlines. */
export type PhotoWarning =
  /** Nobody has said how thick the piece is: one of `thicknessMm` would read so much too long. */
  | { readonly code: "thickness-unsaid"; readonly thicknessMm: number; readonly tooLongMm: number | null }
  /** Where the camera stood is not known: the piece reads too long by its thickness over the camera's height. */
  | { readonly code: "camera-unknown"; readonly thicknessMm: number }
  /** The camera is no higher than the piece is thick. */
  | { readonly code: "camera-too-low"; readonly heightMm: number };

/** How thick a piece is taken to be where it is told what its thickness does, mm. */
const EXAMPLE_THICKNESS_MM = 4;

/** The plane is looked at with so many pixels a millimetre at most, and in all. */
const MOST_PER_MM = 10;
const MOST_PIXELS = 5_000_000;

/** A photo seen straight from above at true size: shades, how many pixels make a millimetre, and how large it is. */
export interface FlatPhoto {
  readonly image: GreyImage;
  readonly perMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly plane: TruePlane;
  /** The photo's own size, px, and the focal length that its file tells, px; null where it tells none. */
  readonly picture: PictureSize;
}

/** A picture's size in pixels, and the focal length that its file tells in its own pixels. */
export interface PictureSize {
  readonly width: number;
  readonly height: number;
  readonly focalPx: number | null;
}

/** The plane of a photo without its perspective; `tell` hears how far it is, 0 to 1. */
export function flattenedPhoto(
  photo: GreyImage,
  plane: TruePlane,
  tell: (done: number) => void = () => undefined,
  focalPx: number | null = null,
): FlatPhoto {
  const { widthMm, heightMm, toPixels, pixelsPerMm } = plane;
  const perMm = Math.min(MOST_PER_MM, pixelsPerMm, Math.sqrt(MOST_PIXELS / (widthMm * heightMm)));
  const [width, height] = [
    Math.max(2, Math.round(widthMm * perMm)),
    Math.max(2, Math.round(heightMm * perMm)),
  ];
  const data = new Float32Array(width * height);
  // What lies outside the photo is taken as what is most of it.
  const ground = middleShade(photo);
  for (let y = 0; y < height; y++) {
    if (y % 200 === 0) tell(y / height);
    for (let x = 0; x < width; x++) {
      const at = projected(toPixels, { x: (x + 0.5) / perMm, y: (y + 0.5) / perMm });
      data[y * width + x] = shadeAt(photo, at.x - 0.5, at.y - 0.5) ?? ground;
    }
  }
  const picture = { width: photo.width, height: photo.height, focalPx };
  return { image: { width, height, data }, perMm, widthMm, heightMm, plane, picture };
}

function middleShade({ data }: GreyImage): number {
  const step = Math.max(1, Math.floor(data.length / 5000));
  const some: number[] = [];
  for (let i = 0; i < data.length; i += step) some.push(data[i]);
  return some.sort((a, b) => a - b)[Math.floor(some.length / 2)] ?? 255;
}

/** Outlines smaller than this are dirt, mm². */
const LEAST_MM2 = 8;
/** Patches with fewer pixels than this share of the smallest outline are taken out before outlines are followed. */
const SPECK_SHARE = 0.5;
/** Points of a round hole in a photo lie this near to a circle, mm, or within this share of its radius. */
const ROUND_MM = 0.35;
const ROUND_SHARE = 0.07;
/** Outlines that come this near to the rim of the plane belong to what is round it, mm. */
const RIM_MM = 1.5;

/** The outlines and round holes in a flat photo, the largest first, y upward from its lower left; and the shade used. */
export function shapesInPhoto(photo: FlatPhoto, seeing: Seeing): PhotoShapes {
  const { shape, threshold, smoothMm } = seeing;
  const { image, perMm, widthMm, heightMm } = photo;
  const camera = cameraFor(photo, seeing);
  const thicknessMm = seeing.thicknessMm ?? 0;
  const stands = camera && thicknessMm > 0 && camera.heightMm > 2 * thicknessMm;
  const soft = smoothed(image, smoothMm * perMm);
  const at = threshold ?? otsuThreshold(soft);
  // Contours enclose what is above a value: of a dark shape the shades are turned round.
  const sign = shape === "dark" ? -1 : 1;
  const values = Array.from(soft.data, (v) => sign * v);
  // What is dirt anyhow is not followed: the contours of noise would be as many as its pixels.
  withoutSpecks(values, soft.width, soft.height, sign * at, SPECK_SHARE * LEAST_MM2 * perMm * perMm);
  const [found] = contours()
    .size([soft.width, soft.height])
    .smooth(true)
    .thresholds([sign * at])(values);
  const toMm = ([x, y]: number[]): Point => ({ x: x / perMm, y: heightMm - y / perMm });
  const eye = camera && {
    heightMm: camera.heightMm,
    foot: { x: camera.foot.x, y: heightMm - camera.foot.y },
  };
  const ring = (of: readonly number[][], around: "outer" | "hole") => {
    const open = of.slice(0, -1);
    const seen = (threshold === null ? onLocalEdge(soft, open, perMm) : open).map(toMm);
    return stands && eye ? standing(seen, around, eye, thicknessMm) : seen;
  };
  const shapes: Found[] = [];
  let id = 0;
  const put = (points: readonly Point[]) => {
    const areaMm2 = enclosedArea(points);
    if (areaMm2 < LEAST_MM2) return;
    const layer = "";
    id++;
    const radius = Math.sqrt(areaMm2 / Math.PI);
    const round = fitCircle(points, Math.max(ROUND_MM, ROUND_SHARE * radius), stands === true);
    // Of a border with places left out the area is less than the circle's.
    const radiusMm = stands && round ? round.radiusMm : radius;
    if (round) shapes.push({ kind: "circle", id: `shape-${id}`, layer, ...round, radiusMm });
    else shapes.push({ kind: "outline", id: `shape-${id}`, layer, points, areaMm2 });
  };
  for (const [outer, ...holes] of found?.coordinates ?? []) {
    const border = ring(outer, "outer");
    const atRim = border.some(
      (p) => p.x < RIM_MM || p.y < RIM_MM || p.x > widthMm - RIM_MM || p.y > heightMm - RIM_MM,
    );
    if (!atRim) put(border);
    for (const hole of holes) put(ring(hole, "hole"));
  }
  const size = (s: Found) =>
    s.kind === "outline" ? s.areaMm2 : s.kind === "circle" ? Math.PI * s.radiusMm ** 2 : 0;
  shapes.sort((a, b) => size(b) - size(a));
  return {
    ...asFound(shapes),
    threshold: at,
    warnings: warningsOf(photo, seeing, camera),
    camera,
  };
}

/** What a photo shows, how shape and ground were parted, from where it was taken, and what is doubtful about it. */
export interface PhotoShapes extends FoundShapes {
  readonly threshold: number;
  readonly warnings: readonly PhotoWarning[];
  readonly camera: Camera | null;
}

/** From where a photo was taken: by what its maker says, by the sheet's perspective, or by what its file tells. */
function cameraFor({ plane, picture }: FlatPhoto, { cameraMm }: Seeing): Camera | null {
  if (cameraMm !== null) return cameraOver(plane, picture, { heightMm: cameraMm });
  const seen = cameraOver(plane, picture, null);
  if (seen || picture.focalPx === null) return seen;
  return cameraOver(plane, picture, { focalPx: picture.focalPx });
}

function warningsOf(photo: FlatPhoto, seeing: Seeing, camera: Camera | null): PhotoWarning[] {
  const { thicknessMm } = seeing;
  if (thicknessMm === 0) return [];
  if (thicknessMm === null) {
    const z = EXAMPLE_THICKNESS_MM;
    const tooLongMm = camera ? (Math.max(photo.widthMm, photo.heightMm) * z) / (camera.heightMm - z) : null;
    return [{ code: "thickness-unsaid", thicknessMm: z, tooLongMm }];
  }
  if (!camera) return [{ code: "camera-unknown", thicknessMm }];
  if (!(camera.heightMm > 2 * thicknessMm)) return [{ code: "camera-too-low", heightMm: camera.heightMm }];
  return [];
}

/** Shade inside and outside an edge is read so far from it, mm; an edge is moved by no more, and only where they differ. */
const BESIDE_MM = 0.9;
const MOST_MOVE_MM = 0.5;
const LEAST_STEP = 25;

/**
 * A border moved to where the shade is half way between what lies beside it: where light falls off over a photo, one
 * threshold for all of it lies too far in or out.
 */
function onLocalEdge(image: GreyImage, border: readonly number[][], perMm: number): number[][] {
  const n = border.length;
  if (n < 8) return [...border];
  return border.map(([x, y], i) => {
    const [a, b] = [border[(i - 2 + n) % n], border[(i + 2) % n]];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (!(length > 0)) return [x, y];
    const [nx, ny] = [-(b[1] - a[1]) / length, (b[0] - a[0]) / length];
    // Contours run through pixels' corners: shades are sampled at their middles.
    const shade = (s: number) => shadeAt(image, x - 0.5 + nx * s, y - 0.5 + ny * s);
    const far = BESIDE_MM * perMm;
    const [low, high] = [shade(-far), shade(far)];
    if (low === null || high === null || Math.abs(high - low) < LEAST_STEP) return [x, y];
    const half = (low + high) / 2;
    const most = MOST_MOVE_MM * perMm;
    let best: number | null = null;
    let before = shade(-most);
    for (let s = -most + 0.5; s <= most; s += 0.5) {
      const here = shade(s);
      if (before !== null && here !== null && before > half !== here > half) {
        const met = s - 0.5 + (0.5 * (half - before)) / (here - before);
        if (best === null || Math.abs(met) < Math.abs(best)) best = met;
      }
      before = here;
    }
    return best === null ? [x, y] : [x + nx * best, y + ny * best];
  });
}
