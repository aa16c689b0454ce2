import type { Design } from "../design/schema";
import { holesOf } from "../fit/holes";
import { remembered } from "../layout/remembered";
import type { CutKey } from "../pieces/cutKey";
import { endOutline } from "../pieces/outlines";
import { pieceList } from "../pieces/pieceList";
import { type CutFace, cutFace } from "./cutParts";
import { faceOpenings } from "./openings";

/** The front or the rear face of a piece along the tang, to mark out on the piece itself. */
export interface EndFacePart extends CutFace {
  readonly key: CutKey;
  readonly id: string;
  /** A rear face is drawn as it is seen from the rear. */
  readonly face: "front" | "rear";
}

/** Openings whose sizes differ by no more than this are alike, mm. */
const ALIKE_MM = 0.05;

/**
 * The faces that something goes into, of blocks, guards, what stands between them, pommels and caps. The front of what is
 * cut out of sheet across the knife is its own outline, and not among them; nor is a rear face like the front.
 */
export const endFaces = remembered((design: Design): readonly EndFacePart[] => {
  const along = holesOf(design).filter((h) => h.axis === "along");
  return pieceList(design).flatMap((piece): EndFacePart[] => {
    const { key, id, ends, across } = piece;
    if (!ends) return [];
    const bored = along.filter((h) => h.piece === id);
    const openings = (face: "front" | "rear") =>
      key.kind === "tang-end" ? [] : faceOpenings(design, piece, face);
    const alike = sizeOf(openings("front")) === sizeOf(openings("rear"));
    return (["front", "rear"] as const).flatMap((face): EndFacePart[] => {
      const end = ends[face];
      const drilled = bored.filter((h) => h.from === null || h.from === face);
      const open = openings(face);
      if (!end || (drilled.length === 0 && open.length === 0)) return [];
      if (across && (face === "front" || (alike && drilled.every((h) => h.from === null)))) return [];
      return [{ key, id, face, ...cutFace(endOutline(design, piece, end), open, drilled) }];
    });
  });
});

function sizeOf(loops: readonly (readonly { readonly x: number; readonly y: number }[])[]): string {
  const points = loops.flat();
  const ends = [points.map((p) => p.x), points.map((p) => p.y)].flatMap((v) => [
    Math.min(...v),
    Math.max(...v),
  ]);
  return ends.map((v) => Math.round(v / ALIKE_MM)).join(" ");
}
