import type { Point } from "../../geometry/curve/bezier";
import { type Homography, homography } from "./homography";
import type { GreyImage } from "./image";
import { shadeAt } from "./image";

/** How a photo's true size is known; places in pixels from its upper left corner. */
export type PhotoScale =
  | { readonly kind: "points"; readonly a: Point; readonly b: Point; readonly mm: number }
  | {
      readonly kind: "paper";
      readonly corners: readonly Point[];
      readonly longMm: number;
      readonly shortMm: number;
    };

export type ScaleFailure =
  /** The two points are one, or the distance is none. */
  | { readonly code: "no-distance" }
  /** Four corners that no sheet of paper has: in one line, or crossed. */
  | { readonly code: "no-sheet" };

/** What part of the plane is looked at, mm, and the map from there to the photo's pixels. */
export interface TruePlane {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly toPixels: Homography;
  /** Pixels of the photo to a millimetre, about its middle. */
  readonly pixelsPerMm: number;
}

/** The plane that a photo shows at true size: the whole picture by two points, or the sheet by its corners. */
export function truePlane(
  image: Pick<GreyImage, "width" | "height">,
  scale: PhotoScale,
): { readonly ok: true; readonly plane: TruePlane } | ({ readonly ok: false } & ScaleFailure) {
  if (scale.kind === "points") {
    const pixels = Math.hypot(scale.b.x - scale.a.x, scale.b.y - scale.a.y);
    const per = pixels / scale.mm;
    if (!(pixels > 2) || !(scale.mm > 0) || !Number.isFinite(per)) return { ok: false, code: "no-distance" };
    const plane: TruePlane = {
      widthMm: image.width / per,
      heightMm: image.height / per,
      toPixels: [per, 0, 0, 0, per, 0, 0, 0, 1],
      pixelsPerMm: per,
    };
    return { ok: true, plane };
  }
  const corners = inOrder(scale.corners);
  if (!corners) return { ok: false, code: "no-sheet" };
  const side = (i: number) =>
    Math.hypot(corners[(i + 1) % 4].x - corners[i].x, corners[(i + 1) % 4].y - corners[i].y);
  const [across, down] = [side(0) + side(2), side(1) + side(3)];
  const [widthMm, heightMm] = across >= down ? [scale.longMm, scale.shortMm] : [scale.shortMm, scale.longMm];
  const sheet = [
    { x: 0, y: 0 },
    { x: widthMm, y: 0 },
    { x: widthMm, y: heightMm },
    { x: 0, y: heightMm },
  ];
  const toPixels = homography(sheet, corners);
  if (!toPixels) return { ok: false, code: "no-sheet" };
  const pixelsPerMm = (across / (2 * widthMm) + down / (2 * heightMm)) / 2;
  return { ok: true, plane: { widthMm, heightMm, toPixels, pixelsPerMm } };
}

/** Four corners from the upper left on, clockwise as the picture lies; null where they enclose nothing, or a dent. */
export function inOrder(corners: readonly Point[]): Point[] | null {
  if (corners.length !== 4) return null;
  const middle = { x: corners.reduce((s, p) => s + p.x, 0) / 4, y: corners.reduce((s, p) => s + p.y, 0) / 4 };
  const round = [...corners].sort(
    (p, q) => Math.atan2(p.y - middle.y, p.x - middle.x) - Math.atan2(q.y - middle.y, q.x - middle.x),
  );
  const turns = round.map((p, i) => {
    const [q, r] = [round[(i + 1) % 4], round[(i + 2) % 4]];
    return (q.x - p.x) * (r.y - q.y) - (q.y - p.y) * (r.x - q.x);
  });
  if (!turns.every((t) => t > 1)) return null;
  const first = round.reduce((best, p, i) => (p.x + p.y < round[best].x + round[best].y ? i : best), 0);
  return [0, 1, 2, 3].map((i) => round[(first + i) % 4]);
}

/** Places along an edge where its line is looked for, and how few of them have to agree. */
const PROBES = 60;
const FEWEST = 20;
/** Shares of an edge that are left out at both ends: the corners may be rounded or hidden. */
const ENDS = 0.06;

/**
 * The corners of a sheet found near where they were marked: along each edge the steepest change of shade within
 * `reachPx`, a line through those places, and the places where neighbouring lines cross. A corner whose edges cannot be
 * found stays where it was marked.
 */
export function foundCorners(image: GreyImage, marked: readonly Point[], reachPx: number): Point[] {
  const corners = inOrder(marked);
  if (!corners) return [...marked];
  const lines = corners.map((a, i) => edgeLine(image, a, corners[(i + 1) % 4], reachPx));
  return corners.map((corner, i) => {
    const [before, after] = [lines[(i + 3) % 4], lines[i]];
    const met = before && after ? crossing(before, after) : null;
    return met && Math.hypot(met.x - corner.x, met.y - corner.y) < 3 * reachPx ? met : corner;
  });
}

/** A line by a place on it and its direction. */
interface Line {
  readonly at: Point;
  readonly along: Point;
}

function edgeLine(image: GreyImage, a: Point, b: Point, reachPx: number): Line | null {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (!(length > 10)) return null;
  const [ux, uy] = [(b.x - a.x) / length, (b.y - a.y) / length];
  const [nx, ny] = [-uy, ux];
  const found: Point[] = [];
  for (let i = 0; i < PROBES; i++) {
    const t = length * (ENDS + ((1 - 2 * ENDS) * (i + 0.5)) / PROBES);
    const shade = (s: number) => shadeAt(image, a.x + ux * t + nx * s, a.y + uy * t + ny * s);
    const step = steepest(shade, reachPx);
    if (step !== null) found.push({ x: a.x + ux * t + nx * step, y: a.y + uy * t + ny * step });
  }
  return lineThrough(found, reachPx / 6);
}

/** The darkening that is strongest along a way across an edge, to part of a pixel; null of none to speak of. */
function steepest(shade: (s: number) => number | null, reachPx: number): number | null {
  let best = { s: 0, change: 12 };
  const change = (s: number): number | null => {
    const [p, q] = [shade(s - 1.5), shade(s + 1.5)];
    return p === null || q === null ? null : Math.abs(q - p);
  };
  for (let s = -reachPx; s <= reachPx; s += 0.5) {
    const by = change(s);
    if (by !== null && by > best.change) best = { s, change: by };
  }
  if (best.change === 12) return null;
  // The top of the parabola through three changes.
  const [l, r] = [change(best.s - 0.5), change(best.s + 0.5)];
  if (l === null || r === null) return best.s;
  const bend = l - 2 * best.change + r;
  return bend < 0 ? best.s + (0.25 * (l - r)) / bend : best.s;
}

/** The line nearest to most of the places: those that are off by more than three times the middle distance are left out. */
function lineThrough(places: readonly Point[], nearPx: number): Line | null {
  let kept = [...places];
  for (let round = 0; round < 6 && kept.length >= FEWEST; round++) {
    const line = leastSquares(kept);
    const off = (p: Point) => Math.abs((p.x - line.at.x) * line.along.y - (p.y - line.at.y) * line.along.x);
    const sorted = kept.map(off).sort((p, q) => p - q);
    const limit = Math.max(0.3, 3 * sorted[Math.floor(sorted.length / 2)]);
    const next = kept.filter((p) => off(p) <= limit);
    if (next.length === kept.length)
      return sorted[Math.floor(sorted.length / 2)] <= Math.max(1, nearPx) ? line : null;
    kept = next;
  }
  return null;
}

function leastSquares(p: readonly Point[]): Line {
  const at = { x: p.reduce((s, q) => s + q.x, 0) / p.length, y: p.reduce((s, q) => s + q.y, 0) / p.length };
  let [xx, xy, yy] = [0, 0, 0];
  for (const q of p) {
    xx += (q.x - at.x) ** 2;
    xy += (q.x - at.x) * (q.y - at.y);
    yy += (q.y - at.y) ** 2;
  }
  const turn = Math.atan2(2 * xy, xx - yy) / 2;
  return { at, along: { x: Math.cos(turn), y: Math.sin(turn) } };
}

function crossing(a: Line, b: Line): Point | null {
  const det = a.along.x * b.along.y - a.along.y * b.along.x;
  if (!(Math.abs(det) > 0.05)) return null;
  const t = ((b.at.x - a.at.x) * b.along.y - (b.at.y - a.at.y) * b.along.x) / det;
  return { x: a.at.x + t * a.along.x, y: a.at.y + t * a.along.y };
}
