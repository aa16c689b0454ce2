import { clamp, upToTenth } from "../../base/number";
import { kindOf } from "../../kinds/fasteners/registry";
import { type SizedShapeKind, shapeFor } from "../../kinds/pieceShapes/registry";
import { roundFor } from "./barSection";
import { round } from "./create";
import { handleReach } from "./handleParts";
import type {
  Bar,
  BlockHole,
  Bolster,
  Design,
  Fastener,
  FullTang,
  HiddenTang,
  Piece,
  PieceRole,
  PieceShape,
} from "./schema";

/** A piece to begin from. */
export function newPiece(id: string, role: PieceRole, material: string, lengthMm: number): Piece {
  return {
    id,
    role,
    material,
    lengthMm,
    discMm: null,
    pressedShare: 0,
    tiltDeg: 0,
    shape: null,
    printed: null,
    face: null,
  };
}

/** A shape of its own for a piece, sized to the handle's butt. */
export function newShape(kind: SizedShapeKind, design: Design): PieceShape {
  const nodes = design.handle.outline;
  const at = (role: string) => nodes.find((n) => n.role === role)?.yMm;
  const top = at("rear-top") ?? 10;
  const bottom = at("rear-bottom") ?? -12;
  return shapeFor(kind, {
    aboveMm: round(Math.max(1, top + 1)),
    belowMm: round(Math.max(1, -bottom + 1)),
    widthMm: round(2 * design.handle.plan[design.handle.plan.length - 1].halfMm + 2),
    yMm: round((top + bottom) / 2),
    heightMm: round(Math.max(10, top - bottom)),
  });
}

/** Room round a bar in one bore, mm. */
const BORE_ROOM_MM = 0.3;

/** The hole of a block to begin from, fitted to the bar. */
export function newBlockHole(kind: BlockHole["kind"], tang: HiddenTang): BlockHole {
  const { fill } = tang.hole;
  const depthMm = round(tang.lengthMm + 3);
  const bit = round(Math.max(0.5, tang.frontThicknessMm + 0.5));
  if (kind === "milled")
    return { kind, heightMm: round(tang.frontHeightMm + 1), widthMm: bit, cutterMm: bit, depthMm, fill };
  if (kind === "drilled" && tang.frontHeightMm <= bit) {
    // One bore takes a bar that is about as thick as it is high by its diagonal, and room.
    const widest = Math.max(
      roundFor(tang.frontHeightMm, tang.frontThicknessMm, tang.frontCornerMm),
      roundFor(tang.endHeightMm, tang.endThicknessMm, tang.endCornerMm),
    );
    return {
      kind,
      stages: [{ bitMm: upToTenth(widest + BORE_ROOM_MM), count: 1, pitchMm: 0, depthMm }],
      fill,
    };
  }
  if (kind === "drilled") {
    // A row of bores as wide as the tang is thick, along its height.
    const count = clamp(Math.ceil(tang.frontHeightMm / bit), 1, 12);
    const pitchMm = count > 1 ? round(Math.max(0, (tang.frontHeightMm + 0.5 - bit) / (count - 1))) : 0;
    return { kind, stages: [{ bitMm: bit, count, pitchMm, depthMm }], fill };
  }
  return { kind, clearanceMm: kind === "burned" ? 0.2 : 0.5, deeperMm: 3, fill };
}

/** A recess to begin from: clear of the front fifth, where bending is highest. */
export function newRecess(design: Design): NonNullable<FullTang["recess"]> {
  return {
    rimMm: 5,
    fromMm: round(handleReach(design) / 4),
    depthMm: round(Math.max(0.05, design.blade.spineMm / 4)),
    floor: "flat",
    fill: null,
  };
}

/** A tang that ends three fifths along the handle. */
export function newShort(design: Design): NonNullable<FullTang["short"]> {
  return { lengthMm: round(0.6 * handleReach(design)), behind: "weld", material: design.blade.steel };
}

export function newBolster(material: string): Bolster {
  return { right: material, left: material, lengthMm: 14, tiltDeg: 0, dovetailDeg: 0, face: null };
}

/** Whether a fastener's hole goes through a bar. */
export function pinsTang(tang: Bar, f: Fastener): boolean {
  const r = kindOf(f).tangBoreMm(f) / 2;
  if (f.xMm - r > 0 || f.xMm + r < -tang.lengthMm) return false;
  const share = Math.max(0, Math.min(1, -f.xMm / tang.lengthMm));
  const half = (tang.frontHeightMm + (tang.endHeightMm - tang.frontHeightMm) * share) / 2;
  return Math.abs(f.yMm - tang.yMm) < half + r;
}
