import { contours } from "d3-contour";
import { signedArea, straightLoop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { enclosedArea } from "../../geometry/curve/crossing";
import { fitCircle } from "../pattern/fitCircle";
import { asFound, type Found, type FoundShapes } from "../pattern/found";
import { type Camera, cameraFor } from "./camera";
import { type DrawnLine, drawnLine, openLine } from "./drawnLines";
import type { FlatPhoto } from "./flatPhoto";
import { almostRound, type Oblong } from "./holeShape";
import { type GreyImage, otsuThreshold, smoothed } from "./image";
import { onLocalEdge } from "./localEdge";
import type { SheetDoubt } from "./planeIn";
import { type Crossing, crossingAt, SHARP, shadesBeside, thresholdNearPiece } from "./shadows";
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
  | { readonly code: "camera-too-low"; readonly heightMm: number }
  /** The picture was cropped, by what its file tells or by its shape: its middle is not the lens's. */
  | { readonly code: "cropped"; readonly thicknessMm: number }
  /** A shadow lies beside the largest piece, so wide. */
  | { readonly code: "shadow"; readonly widthMm: number }
  /** Its edge is blurred by a bell curve of so much: tips are read rounder and shorter than they are. */
  | { readonly code: "blurred"; readonly byMm: number }
  /** Outlines are lines that were drawn, the widest so wide: their middle is taken. */
  | { readonly code: "drawn-lines"; readonly widthMm: number }
  /** A line that was drawn does not close. */
  | { readonly code: "open-line"; readonly lengthMm: number }
  /** Holes that were meant to be round show longer than wide: how many, and the one that does most. */
  | ({ readonly code: "hole-not-round"; readonly count: number } & Oblong)
  | SheetDoubt;

/** How thick a piece is taken to be where it is told what its thickness does, mm. */
const EXAMPLE_THICKNESS_MM = 4;

/** Outlines smaller than this are dirt, mm². */
const LEAST_MM2 = 8;
/** Patches with fewer pixels than this share of the smallest outline are taken out before outlines are followed. */
const SPECK_SHARE = 0.5;
/** Points of a round hole in a photo lie this near to a circle, mm, or within this share of its radius. */
const ROUND_MM = 0.35;
const ROUND_SHARE = 0.07;
/** Outlines that come this near to the rim of the plane belong to what is round it, mm. */
const RIM_MM = 1.5;

/** What a photo shows, how shape and ground were parted, from where it was taken, and what is doubtful about it. */
export interface PhotoShapes extends FoundShapes {
  readonly threshold: number;
  readonly warnings: readonly PhotoWarning[];
  readonly camera: Camera | null;
  /** How far the lens bowed the sheet's edges, mm: taken out; 0 of one that did not. */
  readonly lensBowMm: number;
}

/** The outlines and round holes in a flat photo, the largest first, y upward from its lower left; and the shade used. */
export function shapesInPhoto(photo: FlatPhoto, seeing: Seeing): PhotoShapes {
  const soft = smoothed(photo.image, seeing.smoothMm * photo.perMm);
  const camera = cameraFor(photo.plane, photo.picture, seeing.cameraMm);
  const at = seeing.threshold ?? otsuThreshold(soft);
  const regions = regionsIn(soft, photo.perMm, seeing.shape, at);
  const { blurMm, ...crossing } = crossingIn(photo, soft, regions, seeing.shape, at);
  const shadowMm = seeing.threshold === null ? crossing.shadowMm : 0;
  // A shadow is as dark as a piece to a threshold half way: nearer to the piece's own shade it is paper.
  const nearer = shadowMm > 0 ? thresholdNearPiece(shadesOf(soft, seeing.shape, at)) : at;
  const seen = shadowMm > 0 ? regionsIn(soft, photo.perMm, seeing.shape, nearer) : regions;
  const reader = new RegionReader(photo, soft, seeing, camera);
  // The largest first: what pen it was drawn by tells what the smaller ones are.
  const bySize = seen.map((region) => ({ region, px: Math.abs(signedAreaPx(region[0])) }));
  for (const { region } of bySize.sort((a, b) => b.px - a.px)) reader.read(region);
  const { shapes, warnings, isDrawn } = reader.all();
  const edge: PhotoWarning[] = [];
  if (shadowMm > 0 && !isDrawn) edge.push({ code: "shadow", widthMm: shadowMm });
  if (blurMm > MOST_BLUR_MM && !isDrawn) edge.push({ code: "blurred", byMm: blurMm });
  return {
    ...asFound(shapes),
    threshold: nearer,
    warnings: [
      ...photo.doubts,
      ...(isDrawn && seeing.thicknessMm === null ? [] : standingWarnings(photo, seeing, camera)),
      ...edge,
      ...warnings,
    ],
    camera,
    lensBowMm: photo.lensBowMm,
  };
}

/** Blurred by more than this a tip comes out half a millimetre short, mm. */
const MOST_BLUR_MM = 0.5;

/** Rings of a region in pixels, its outer one first; each ends in the place that it began in. */
type Region = readonly (readonly number[][])[];

/** The regions on the shape's side of a threshold. */
function regionsIn(soft: GreyImage, perMm: number, shape: Seeing["shape"], at: number): readonly Region[] {
  // Contours enclose what is above a value: of a dark shape the shades are turned round.
  const sign = shape === "dark" ? -1 : 1;
  const values = Array.from(soft.data, (v) => sign * v);
  // What is dirt anyhow is not followed: the contours of noise would be as many as its pixels.
  withoutSpecks(values, soft.width, soft.height, sign * at, SPECK_SHARE * LEAST_MM2 * perMm * perMm);
  const [found] = contours()
    .size([soft.width, soft.height])
    .smooth(true)
    .thresholds([sign * at])(values);
  return found?.coordinates ?? [];
}

/** The shades of pieces and of their paper. */
function shadesOf(soft: GreyImage, shape: Seeing["shape"], at: number) {
  const { below, above } = shadesBeside(soft.data, at);
  return shape === "dark" ? { piece: below, paper: above } : { piece: above, paper: below };
}

/** How the border of the largest region that does not touch the rim goes over to the paper. */
function crossingIn(
  photo: FlatPhoto,
  soft: GreyImage,
  regions: readonly Region[],
  shape: Seeing["shape"],
  at: number,
): Crossing {
  let [largest, most] = [null as readonly number[][] | null, 0];
  for (const [outer] of regions) {
    const area = signedAreaPx(outer);
    if (Math.abs(area) > Math.abs(most) && !touchesRim(photo, outer)) [largest, most] = [outer, area];
  }
  if (!largest) return SHARP;
  return crossingAt(soft, largest.slice(0, -1), most, shadesOf(soft, shape, at), photo.perMm);
}

const signedAreaPx = (ring: readonly number[][]): number =>
  signedArea(straightLoop(ring.map(([x, y]) => ({ x, y }))));

const touchesRim = ({ image, perMm }: FlatPhoto, ring: readonly number[][]): boolean => {
  const rim = RIM_MM * perMm;
  return ring.some(([x, y]) => x < rim || y < rim || x > image.width - rim || y > image.height - rim);
};

/** Makes shapes of regions one after the other, and keeps what is doubtful about them. */
class RegionReader {
  private readonly shapes: Found[] = [];
  private readonly lines: DrawnLine[] = [];
  private readonly doubts: PhotoWarning[] = [];
  private readonly oblong: Oblong[] = [];
  /** The area of the largest shape, and whether that is a line that was drawn. */
  private largest = { areaMm2: 0, isLine: false };

  constructor(
    private readonly photo: FlatPhoto,
    private readonly soft: GreyImage,
    private readonly seeing: Seeing,
    private readonly camera: Camera | null,
  ) {}

  private get stands(): boolean {
    const thicknessMm = this.seeing.thicknessMm ?? 0;
    return this.camera !== null && thicknessMm > 0 && this.camera.heightMm > 2 * thicknessMm;
  }

  /** How wide the largest shape's line is; null where that is none. */
  private get penMm(): number | null {
    return this.largest.isLine ? (this.lines[0]?.widthMm ?? null) : null;
  }

  read([outer, ...holes]: Region): void {
    const flat = [outer, ...holes].map((ring) => this.inMm(ring));
    const atRim = touchesRim(this.photo, outer);
    const line = atRim ? null : drawnLine(flat[0], flat.slice(1), this.penMm);
    if (line) {
      this.lines.push(line);
      this.put(line.points, true);
      return;
    }
    if (!atRim) {
      const open = holes.length === 0 ? openLine(flat[0]) : null;
      if (open !== null) this.doubts.push({ code: "open-line", lengthMm: open });
      this.put(this.standing(flat[0], "outer"));
    }
    for (const hole of flat.slice(1)) {
      const found = this.put(this.standing(hole, "hole"));
      // Of a hole in a thick piece the far wall is seen as well: that is allowed for.
      const oblong = found && !this.stands ? almostRound(hole) : null;
      if (oblong && isOblong(oblong)) this.oblong.push(oblong);
    }
  }

  /** The shapes, the largest first, and what is doubtful about them. */
  all(): { shapes: Found[]; warnings: PhotoWarning[]; isDrawn: boolean } {
    const widthMm = this.lines.reduce((most, line) => Math.max(most, line.widthMm), 0);
    const drawn: PhotoWarning[] = widthMm > 0 ? [{ code: "drawn-lines", widthMm }] : [];
    return {
      shapes: this.shapes.sort((a, b) => sizeOf(b) - sizeOf(a)),
      warnings: [...drawn, ...this.doubts, ...notRound(this.oblong)],
      isDrawn: this.largest.isLine,
    };
  }

  private inMm(ring: readonly number[][]): Point[] {
    const { perMm, heightMm } = this.photo;
    const open = ring.slice(0, -1);
    const edge = this.seeing.threshold === null ? onLocalEdge(this.soft, open, perMm) : open;
    return edge.map(([x, y]): Point => ({ x: x / perMm, y: heightMm - y / perMm }));
  }

  private standing(seen: readonly Point[], around: "outer" | "hole"): readonly Point[] {
    const { camera, photo, seeing } = this;
    if (!this.stands || !camera) return seen;
    const foot = { x: camera.foot.x, y: photo.heightMm - camera.foot.y };
    return standing(seen, around, { heightMm: camera.heightMm, foot }, seeing.thicknessMm ?? 0);
  }

  /** Whether it is a shape, and no dirt. */
  private put(points: readonly Point[], isLine = false): boolean {
    const areaMm2 = enclosedArea(points);
    if (areaMm2 < LEAST_MM2) return false;
    if (areaMm2 > this.largest.areaMm2) this.largest = { areaMm2, isLine };
    const [layer, id] = ["", `shape-${this.shapes.length + 1}`];
    const radius = Math.sqrt(areaMm2 / Math.PI);
    const hasGaps = this.stands && !isLine;
    const round = fitCircle(points, Math.max(ROUND_MM, ROUND_SHARE * radius), hasGaps);
    // Of a border with places left out the area is less than the circle's.
    const radiusMm = hasGaps && round ? round.radiusMm : radius;
    if (round) this.shapes.push({ kind: "circle", id, layer, ...round, radiusMm });
    else this.shapes.push({ kind: "outline", id, layer, points, areaMm2 });
    return true;
  }
}

/** A hole is told to be longer than wide from so much on, mm, and from this share of its width. */
const OBLONG_MM = 0.5;
const OBLONG_SHARE = 0.08;
const isOblong = ({ longMm, shortMm }: Oblong) =>
  longMm - shortMm > Math.max(OBLONG_MM, OBLONG_SHARE * shortMm);

function notRound(holes: readonly Oblong[]): PhotoWarning[] {
  if (holes.length === 0) return [];
  const share = (o: Oblong) => o.longMm / o.shortMm;
  const most = holes.reduce((best, o) => (share(o) > share(best) ? o : best));
  return [{ code: "hole-not-round", count: holes.length, ...most }];
}

const sizeOf = (s: Found): number =>
  s.kind === "outline" ? s.areaMm2 : s.kind === "circle" ? Math.PI * s.radiusMm ** 2 : 0;

/** What is doubtful about a piece's thickness, and about from where it was taken. */
function standingWarnings(photo: FlatPhoto, seeing: Seeing, camera: Camera | null): PhotoWarning[] {
  const { thicknessMm, cameraMm } = seeing;
  if (thicknessMm === 0) return [];
  if (thicknessMm === null) {
    const z = EXAMPLE_THICKNESS_MM;
    const tooLongMm = camera ? (Math.max(photo.widthMm, photo.heightMm) * z) / (camera.heightMm - z) : null;
    return [{ code: "thickness-unsaid", thicknessMm: z, tooLongMm }];
  }
  if (cameraMm === null && photo.picture.isCropped) return [{ code: "cropped", thicknessMm }];
  if (!camera) return [{ code: "camera-unknown", thicknessMm }];
  if (!(camera.heightMm > 2 * thicknessMm)) return [{ code: "camera-too-low", heightMm: camera.heightMm }];
  return [];
}
