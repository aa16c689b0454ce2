import { radians } from "../../../base/number";
import type { MaterialOf } from "../../../materials/types";
import { materialsIn } from "../../design/materials";
import type { Piece, PieceRole, StackHandle } from "../../design/schema";
import type { Cell, CutAcross } from "../../parts/cells";
import { type EndFace, FACE_MM, leaning, single, type Workpiece } from "../../parts/workpiece";
import { lengthwiseArea, sectionArea } from "../../shapes/areas";
import { pieceNaming } from "../../shapes/itemNames";
import { lengthwiseFaces } from "../../shapes/lengthwise";
import { jointTilt } from "../../shapes/pieces";
import type { Layout } from "../../shapes/types";
import type { GluedAreas } from "./kind";

/** Pieces that are cut from sheet, its thickness along the knife. */
const SLICES: readonly PieceRole[] = ["spacer", "washer", "butt-plate"];

export function stackPieces(handle: StackHandle, { design, pieces: stations }: Layout): Workpiece[] {
  const materialOf = materialsIn(design);
  const blocks = handle.pieces.filter((p) => p.role === "block" && !p.shape).length;
  const along = (blocks > 0 ? lengthwiseFaces(handle.lengthwise) : []).map(({ kind, material }) =>
    single({ kind, side: null }, material, { count: blocks }),
  );
  return [
    ...along,
    ...handle.pieces.map((p, i): Workpiece => {
      const key = { kind: "piece", sort: p.role, id: p.id, ...pieceNaming(design, i) } as const;
      const [to, from] = stations[i];
      // A sheet lies along its joint, which leans; one whose faces lean apart is sawn from a block.
      const [ahead, behind] = [i > 0 ? jointTilt(handle, i - 1) : 0, jointTilt(handle, i)];
      const slice = SLICES.includes(p.role) && !p.shape && ahead === behind;
      const across = slice ? leaning(to, (from - to) * Math.cos(radians(behind)), behind) : null;
      const end = (x: number, tiltDeg: number, inward: number): EndFace => ({
        tiltDeg,
        stationAt: (y) => x + y * Math.tan(radians(tiltDeg)) + inward,
      });
      return single(key, p.material, {
        across,
        ends: { front: end(from, ahead, -FACE_MM), rear: end(to, behind, FACE_MM) },
        lengthMm: across?.thicknessMm ?? null,
        pressedShare: p.pressedShare,
        form: slice ? "slice" : "block",
        made: p.printed ? "printed" : isBuiltUp(p, materialOf) ? "built-up" : "sawn",
        discs: slice && (p.role === "washer" || p.discMm !== null) ? { mm: p.discMm } : null,
      });
    }),
  ];
}

/** A grip of metal all round the tang is cast or built up, not sawn from a block. Common practice, no source. */
function isBuiltUp({ role, material, shape }: Piece, materialOf: MaterialOf): boolean {
  return role === "block" && !shape && materialOf(material)?.class === "metal";
}

export function pieceCells(handle: StackHandle, { pieces: stations }: Layout): Cell[] {
  return handle.pieces.flatMap((piece, i) => {
    if (piece.shape) return [];
    const [to, from] = stations[i];
    const cut = (xMm: number, of: number): CutAcross => ({
      xMm,
      tiltDeg: of >= 0 && of < handle.pieces.length ? jointTilt(handle, of) : 0,
    });
    const parted = handle.lengthwise !== null && piece.role === "block";
    return [{ id: piece.id, material: piece.material, front: cut(from, i - 1), rear: cut(to, i), parted }];
  });
}

/** Faces between pieces, all but where the tang goes through. */
export function addPieceFaces(handle: StackHandle, layout: Layout, areas: GluedAreas): void {
  const { tang } = layout.design;
  areas.pieces += lengthwiseArea(handle.lengthwise, layout);
  const stations = layout.pieces;
  for (let i = 1; i < stations.length; i++) {
    const x = stations[i][1];
    const { highY, lowY, halfMm } = layout.tangAt(x);
    const hole = tang.kind === "hidden" && x > -tang.lengthMm ? 2 * halfMm * (highY - lowY) : 0;
    areas.pieces += Math.max(0, sectionArea(layout.body, x) - hole);
  }
}
