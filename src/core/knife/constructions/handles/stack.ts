import type { Profile } from "../../../geometry/curve/profile";
import type { LoftSide } from "../../../geometry/solids/loft";
import type { MaterialOf } from "../../../materials/types";
import { newPiece } from "../../design/newParts";
import type { Piece, PieceRole, StackHandle } from "../../design/schema";
import type { MaterialPlace } from "../../parts/materialPlace";
import { join } from "../../parts/partKey";
import { followsFrom, waisted } from "../../shapes/handleBody";
import { handleKind, movedPoints } from "./kind";
import { checkPieces, checkRings } from "./stackFaults";
import { addPieces } from "./stackParts";
import { addPieceFaces, pieceCells, stackPieces } from "./stackPieces";

/** Roles of the pieces that a place stands for. */
const ROLES: Partial<Record<MaterialPlace, readonly PieceRole[]>> = {
  block: ["block"],
  washers: ["washer"],
  spacers: ["spacer"],
  bolsters: ["bolster"],
  ferrules: ["ferrule"],
  pommel: ["pommel", "butt-plate"],
};

/** Pieces one behind the other along the tang. */
export const stack = handleKind<StackHandle>({
  kind: "stack",
  tangs: ["hidden"],
  apart: "tang-and-handle-apart",
  begin: (shape, material) => ({
    kind: "stack",
    ...shape,
    pieces: [newPiece("piece-1", "block", material, 100)],
    rings: [],
    lengthwise: null,
  }),
  mainMaterial: ({ pieces }) => (pieces.find((p) => p.role === "block") ?? pieces[0]).material,
  gripMaterials: ({ pieces }) => pieces.map((p) => p.material),
  materialAt: ({ pieces }, place) => pieces.find((p) => ROLES[place]?.includes(p.role))?.material ?? null,
  withMaterial: (handle, place, material, materialOf) => ({
    ...handle,
    pieces: handle.pieces.map((p) => (ROLES[place]?.includes(p.role) ? remade(p, material, materialOf) : p)),
  }),
  moved: (handle, along) => ({ ...handle, lengthwise: movedPoints(handle.lengthwise, along) }),
  loft: (handle, { outline, crowns, sections }, xRange) => {
    const side = (crown: Profile): LoftSide => ({
      crown: waisted(crown, handle.waist),
      land: () => 0,
      cap: () => Number.POSITIVE_INFINITY,
    });
    return {
      outline,
      xRange,
      right: side(crowns.right),
      left: side(crowns.left),
      sectionAt: sections.at,
      stations: sections.stations,
      from: followsFrom(handle),
    };
  },
  faults: (handle, layout, edge, report) => {
    checkPieces(layout, handle, report);
    checkRings(handle, edge, report);
  },
  build: (handle, b, { body, shaped }) => addPieces(b, handle, body, shaped),
  cells: pieceCells,
  pieces: stackPieces,
  glue: addPieceFaces,
  gluedParts: ({ pieces, rings }) => pieces.length + rings.length,
  minutes: ({ pieces, rings, lengthwise }) => {
    const ends = pieces.filter((p) => p.role === "pommel" || p.role === "butt-plate").length;
    return {
      pieces: 8 * (pieces.length - ends),
      joints: lengthwise ? 50 : 0,
      pommel: 45 * ends,
      rings: 40 * rings.length,
    };
  },
  partRefs: ({ pieces }) => pieces.map((p) => join("piece", p.id)),
});

/** Only the class that a material was pressed as stays pressed: leather does, the wood that takes its place does not. */
function remade(piece: Piece, material: string, materialOf: MaterialOf): Piece {
  const alike = materialOf(piece.material)?.class === materialOf(material)?.class;
  return { ...piece, material, pressedShare: alike ? piece.pressedShare : 0 };
}
