import type { Point } from "../../geometry/curve/bezier";
import { type Homography, homography, projected } from "./homography";
import type { GreyImage } from "./image";
import { bentBy, type Lens, straightened } from "./lens";

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
  /** To the pixels of a picture that would have straight lines: of the photo itself, but for its lens. */
  readonly toPixels: Homography;
  /** Pixels of the photo to a millimetre, about its middle. */
  readonly pixelsPerMm: number;
  /** What bends straight lines in the photo; null of nothing. */
  readonly lens: Lens | null;
}

/** Where a place of the plane, mm, is seen in the photo, px. */
export function seenAt({ toPixels, lens }: Pick<TruePlane, "toPixels" | "lens">, at: Point): Point {
  const straight = projected(toPixels, at);
  return lens ? bentBy(lens, straight) : straight;
}

/** The plane that a photo shows at true size: the whole picture by two points, or the sheet by its corners. */
export function truePlane(
  image: Pick<GreyImage, "width" | "height">,
  scale: PhotoScale,
  lens: Lens | null = null,
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
      lens: null,
    };
    return { ok: true, plane };
  }
  const drawn = inOrder(scale.corners);
  const corners = drawn?.flatMap((p) => (lens ? (straightened(lens, p) ?? []) : p));
  if (corners?.length !== 4) return { ok: false, code: "no-sheet" };
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
  return { ok: true, plane: { widthMm, heightMm, toPixels, pixelsPerMm, lens } };
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
