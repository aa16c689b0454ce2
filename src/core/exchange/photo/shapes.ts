import { contours } from "d3-contour";
import type { Point } from "../../geometry/curve/bezier";
import { enclosedArea } from "../../geometry/curve/crossing";
import { fitCircle } from "../pattern/fitCircle";
import type { Found, FoundShapes } from "../pattern/found";
import { projected } from "./homography";
import { type GreyImage, otsuThreshold, shadeAt, smoothed } from "./image";
import type { TruePlane } from "./planeScale";
import { withoutSpecks } from "./specks";

/** How a shape is separated from its background. */
export interface Seeing {
  readonly shape: "dark" | "light";
  /** Shade that parts shape and ground; null for the one that parts them best. */
  readonly threshold: number | null;
  /** How far the picture is smoothed first, mm. */
  readonly smoothMm: number;
}

export const USUAL_SEEING: Seeing = { shape: "dark", threshold: null, smoothMm: 0.25 };

/** The plane is looked at with so many pixels a millimetre at most, and in all. */
const MOST_PER_MM = 10;
const MOST_PIXELS = 5_000_000;

/** A photo seen straight from above at true size: shades, how many pixels make a millimetre, and how large it is. */
export interface FlatPhoto {
  readonly image: GreyImage;
  readonly perMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The plane of a photo without its perspective; `tell` hears how far it is, 0 to 1. */
export function flattenedPhoto(
  photo: GreyImage,
  plane: TruePlane,
  tell: (done: number) => void = () => undefined,
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
  return { image: { width, height, data }, perMm, widthMm, heightMm };
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
export function shapesInPhoto(
  photo: FlatPhoto,
  { shape, threshold, smoothMm }: Seeing,
): FoundShapes & { readonly threshold: number } {
  const { image, perMm, widthMm, heightMm } = photo;
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
  const ring = (of: readonly number[][]) => {
    const open = of.slice(0, -1);
    return (threshold === null ? onLocalEdge(soft, open, perMm) : open).map(toMm);
  };
  const shapes: Found[] = [];
  let id = 0;
  const put = (points: readonly Point[]) => {
    const areaMm2 = enclosedArea(points);
    if (areaMm2 < LEAST_MM2) return;
    const layer = "";
    id++;
    const radius = Math.sqrt(areaMm2 / Math.PI);
    const round = fitCircle(points, Math.max(ROUND_MM, ROUND_SHARE * radius));
    if (round) shapes.push({ kind: "circle", id: `shape-${id}`, layer, ...round, radiusMm: radius });
    else shapes.push({ kind: "outline", id: `shape-${id}`, layer, points, areaMm2 });
  };
  for (const [outer, ...holes] of found?.coordinates ?? []) {
    const border = ring(outer);
    const atRim = border.some(
      (p) => p.x < RIM_MM || p.y < RIM_MM || p.x > widthMm - RIM_MM || p.y > heightMm - RIM_MM,
    );
    if (!atRim) put(border);
    for (const hole of holes) put(ring(hole));
  }
  const size = (s: Found) =>
    s.kind === "outline" ? s.areaMm2 : s.kind === "circle" ? Math.PI * s.radiusMm ** 2 : 0;
  return { shapes: shapes.sort((a, b) => size(b) - size(a)), doubled: 0, joined: 0, threshold: at };
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
