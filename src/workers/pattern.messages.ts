import type { DrawingFormatId } from "@/core/exchange/files/drawings";
import type { FoundShapes } from "@/core/exchange/pattern/found";
import type { LotOutline } from "@/core/exchange/pattern/lotOutline";
import type { MarkReading } from "@/core/exchange/pattern/markIn";
import type { PictureFailure } from "@/core/exchange/photo/picture";
import type { PhotoScale, ScaleFailure } from "@/core/exchange/photo/planeScale";
import type { PhotoShapes, Seeing } from "@/core/exchange/photo/shapes";
import type { DrawingReading } from "@/core/geometry/contours/raw";
import type { Point } from "@/core/geometry/curve/bezier";

/** A photo as it is worked on: turned upright by its mark, and shrunk where it was very large. */
export interface OpenPhoto {
  readonly width: number;
  readonly height: number;
  readonly picture: Blob;
  /** Of a sheet of paper that was found in it; null of none. */
  readonly corners: readonly Point[] | null;
}

/** The plane of a photo at true size, as a picture. */
export interface FlatPicture {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly picture: Blob;
}

/** What the worker answers to that reads patterns. It keeps the photo that was opened last. */
export interface PatternService {
  /** The lines of a drawing file's content; the drawing is kept for `shapesInDrawing`. */
  readDrawing(bytes: Uint8Array, format: DrawingFormatId): Promise<DrawingReading>;
  /** Outlines and holes in the drawing that was read last, gaps up to `closeMm` closed; null before there is one. */
  shapesInDrawing(
    mmPerUnit: number,
    closeMm: number | null,
  ):
    | { readonly ok: true; readonly found: FoundShapes }
    | { readonly ok: false; readonly code: "too-much" }
    | null;
  /** The outline and the holes of a lot in it, a drawing without a unit taken as in mm; null where no line closes. */
  lotInDrawing(): LotOutline | null;
  /** What the drawing that was read last fills, as a mark on a blade; null before there is one. */
  markInDrawing(): MarkReading | { readonly ok: false; readonly code: "too-much" } | null;
  openPhoto(
    bytes: Uint8Array,
  ): Promise<({ readonly ok: true } & OpenPhoto) | ({ readonly ok: false } & PictureFailure)>;
  /** The corners of a sheet near where they were marked, within so many pixels. */
  findCorners(marked: readonly Point[], reachPx: number): Point[];
  /** Takes the perspective out; tells how far it is, 0 to 1. */
  flatten(
    scale: PhotoScale,
    tell: (done: number) => void,
  ): Promise<({ readonly ok: true } & FlatPicture) | ({ readonly ok: false } & ScaleFailure)>;
  /** Outlines and holes in the flattened photo; null before there is one. */
  findShapes(seeing: Seeing): PhotoShapes | null;
}
