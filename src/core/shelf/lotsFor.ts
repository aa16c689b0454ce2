import { withoutKerf } from "../figures/cost/billOfMaterials";
import { holesOf as fitHoles } from "../figures/fit/holes";
import { type CutPiece, cutList } from "../figures/fit/stockList";
import { blankOutline, pieceOutlines } from "../figures/pieces/outlines";
import { pieceList } from "../figures/pieces/pieceList";
import { weigh } from "../figures/weigh/weigh";
import { materialsIn } from "../knife/design/materials";
import type { Design } from "../knife/design/schema";
import type { Lot } from "./lot";
import { lotIdIn } from "./lotMaterial";
import { materialPaths } from "./materialPaths";
import { isMaterial } from "./newLot";
import { type Laid, layInto } from "./outlineServes";
import { type Missed, type Served, serves } from "./serves";

/** How one lot serves for one piece. */
export interface LotForPiece {
  readonly lot: string;
  /** Of boxes; null of a lot with an outline of its own. */
  readonly box: Served | Missed | null;
  /** Of a lot with an outline; null of a box. */
  readonly laid: Laid | null;
  readonly ok: boolean;
  /** Whether the piece is made of it. */
  readonly inUse: boolean;
  /** Whether it is of the material that the piece is made of now; else it is another one of its class. */
  readonly sameMaterial: boolean;
}

export interface LotsForPiece {
  readonly piece: CutPiece;
  readonly lots: readonly LotForPiece[];
}

/** A lot with an outline is as thick as the piece, mm. */
const THICK_MM = 0.05;

function inOutline(design: Design, piece: CutPiece, lot: Lot): Laid | null {
  if (lot.shape.form !== "piece" || lot.shape.outline === null) return null;
  const drawn =
    piece.key.kind === "blade" ? blankOutline(design) : (pieceOutlines(design).get(piece.id)?.outlines ?? []);
  const loop = [...drawn].sort((a, b) => b.length - a.length)[0];
  if (!loop) return null;
  const holes = fitHoles(design)
    .filter((h) => h.piece === piece.id && h.axis === "across")
    .map(({ xMm, yMm, drilledMm }) => ({ xMm, yMm, diameterMm: drilledMm }));
  const { allowanceMm } = design.workshop.saw;
  // A blank that is bought to its outline is ground no further: what is sawn needs room to shape.
  const room = piece.key.kind === "blade" ? 0 : allowanceMm;
  return layInto({ outline: loop, allowanceMm: room, holes }, lot.shape);
}

function forPiece(design: Design, piece: CutPiece, lot: Lot): LotForPiece | null {
  const materialOf = materialsIn(design);
  const mine = materialOf(piece.material);
  const theirs = materialOf(lot.of);
  const inUse = lotIdIn(piece.material) === lot.id;
  const sameMaterial = inUse || lot.of === piece.material || lot.of === mine?.like;
  // What is of another class is no stock for it: a bar for a scale.
  if (!inUse && !sameMaterial && (!theirs || theirs.class !== mine?.class)) return null;
  if (lot.shape.form !== "piece") return null;
  const rest = { lot: lot.id, inUse, sameMaterial };
  if (lot.shape.outline !== null) {
    const laid = inOutline(design, piece, lot);
    const thick = lot.shape.thicknessMm >= piece.finishedMm.thicknessMm - THICK_MM;
    const enough = lot.count >= piece.count;
    return { ...rest, box: null, laid, ok: laid !== null && laid.missesMm === 0 && thick && enough };
  }
  const { kerfMm } = design.workshop.saw;
  const need = {
    sawnMm: piece.sawnMm,
    blankMm: withoutKerf(piece, kerfMm),
    count: piece.count,
    lengthwise: piece.grain !== null,
    kerfMm,
  };
  const box = serves(need, lot.shape, lot.count);
  return { ...rest, box, laid: null, ok: box.ok };
}

/** For every piece that is sawn the lots that could be it: those in use first, then those that serve. */
export function lotsFor(design: Design, lots: readonly Lot[]): readonly LotsForPiece[] | null {
  if (!weigh(design).ok) return null;
  const rank = (l: LotForPiece) =>
    l.inUse ? 0 : l.ok && l.sameMaterial ? 1 : l.sameMaterial ? 2 : l.ok ? 3 : 4;
  return cutList(design)
    .filter((piece) => piece.made === "sawn")
    .map((piece) => ({
      piece,
      lots: lots
        .filter(isMaterial)
        .flatMap((lot) => forPiece(design, piece, lot) ?? [])
        .sort((a, b) => rank(a) - rank(b)),
    }));
}

/** The places of the record that say what a piece, or both of a pair, is made of; none of a piece that is not there. */
export function pathsOfPiece(design: Design, piece: string): readonly string[] {
  const found = pieceList(design).find((p) => p.id === piece);
  if (!found) return [];
  return materialPaths(design, [...found.parts, ...(found.leftParts ?? [])], found.material);
}
