import { remembered } from "../../base/record/remembered";
import { holesOf } from "../../figures/fit/holes";
import { endOutline, faceOutline, pieceOutlines } from "../../figures/pieces/outlines";
import { pieceList } from "../../figures/pieces/pieceList";
import type { Point } from "../../geometry/curve/bezier";
import type { Design } from "../../knife/design/schema";
import type { CutKey } from "../../knife/parts/cutKey";
import { type EndFace, stationsBetween } from "../../knife/parts/workpiece";
import { type CutFace, cutFace } from "./cutParts";
import { faceOpenings } from "./openings";

/** The front or the rear face of a piece along the tang, to mark out on the piece itself. */
export interface EndFacePart extends CutFace {
  readonly key: CutKey;
  readonly id: string;
  /** A rear face is drawn as it is seen from the rear. */
  readonly face: "front" | "rear";
  /** Where an end is rounded off: the outline is that of the piece where it is widest. */
  readonly isWidest: boolean;
}

/** The rear of a sheet as thin as this opens like its front: a file does the rest. */
const THIN_MM = 5;
/** A face that is lower than this share of the piece's height is rounded off. */
const LEAST_SHARE = 0.5;

/** Openings whose sizes differ by no more than this are alike, mm. */
const ALIKE_MM = 0.05;

/**
 * The faces that something goes into, of blocks, guards, what stands between them, pommels and caps. The front of what is
 * cut out of sheet across the knife is its own outline, and not among them; nor is a rear face like the front.
 */
export const endFaces = remembered((design: Design): readonly EndFacePart[] => {
  const seen = pieceOutlines(design);
  const along = holesOf(design).filter((h) => h.axis === "along");
  return pieceList(design).flatMap((piece): EndFacePart[] => {
    const { key, id, ends, across } = piece;
    if (!ends) return [];
    const bored = along.filter((h) => h.piece === id);
    const other = (end: EndFace) => ((end === ends.front ? ends.rear : ends.front) ?? end).stationAt(0);
    const openings = (face: "front" | "rear") =>
      key.kind === "tang-end" ? [] : faceOpenings(design, piece, face);
    const alike = sizeOf(openings("front")) === sizeOf(openings("rear"));
    return (["front", "rear"] as const).flatMap((face): EndFacePart[] => {
      const end = ends[face];
      const drilled = bored.filter((h) => h.from === null || h.from === face);
      const open = openings(face);
      if (!end || (drilled.length === 0 && open.length === 0)) return [];
      const bare = drilled.every((h) => h.from === null);
      if (across && (face === "front" || (bare && (alike || across.thicknessMm < THIN_MM)))) return [];
      const own = endOutline(design, piece, end);
      // Rounded off it is far lower than the piece is high.
      const rounded = heightOf(own) < LEAST_SHARE * heightOf(seen.get(id)?.outlines ?? []);
      const outline = rounded
        ? faceOutline(design, piece, () => stationsBetween(end.stationAt(0), other(end)))
        : own;
      return [{ key, id, face, isWidest: outline !== own, ...cutFace(outline, open, drilled) }];
    });
  });
});

function heightOf(of: readonly (readonly Point[])[]): number {
  const ys = of.flat().map((p) => p.y);
  return ys.length > 0 ? Math.max(...ys) - Math.min(...ys) : 0;
}

function sizeOf(loops: readonly (readonly { readonly x: number; readonly y: number }[])[]): string {
  const points = loops.flat();
  const ends = [points.map((p) => p.x), points.map((p) => p.y)].flatMap((v) => [
    Math.min(...v),
    Math.max(...v),
  ]);
  return ends.map((v) => Math.round(v / ALIKE_MM)).join(" ");
}
