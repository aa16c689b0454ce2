import { remembered } from "../../base/record/remembered";
import { ROUNDING } from "../../base/tolerances";
import { rangeOf } from "../../geometry/solids/extent";
import { assemble } from "../../knife/assembly/assemble";
import { materialsIn } from "../../knife/design/materials";
import type { Design, StockPiece } from "../../knife/design/schema";
import type { CutKey } from "../../knife/parts/cutKey";
import type { Made, Workpiece } from "../../knife/parts/workpiece";
import { hasGrain } from "../../materials/working";
import { pieceOutlines } from "../pieces/outlines";
import { pieceList } from "../pieces/pieceList";
import { bladeBox, type Size } from "./bladeStock";

/** One piece to cut: its finished box, what to saw for it, and how it is marked. */
export interface CutPiece {
  readonly key: CutKey;
  /** By which a maker's stock is matched to it. */
  readonly id: string;
  readonly material: string;
  readonly count: number;
  readonly finishedMm: Size;
  /** With room to shape and the saw's kerf; of what is not sawn as it is finished. */
  readonly sawnMm: Size;
  /** A left and a right that must match. */
  readonly pair: boolean;
  readonly made: Made;
  /** Discs of this thickness that together are the piece, as they are before it is pressed; null of a whole one. */
  readonly discs: { readonly count: number; readonly thicknessMm: number } | null;
  /** Along the knife, where the material has a grain; null where it has none. */
  readonly grain: "lengthwise" | null;
  /** The maker's own stock for it, and what is missing of it; null where none was named. */
  readonly have: StockPiece | null;
  readonly shortMm: Size | null;
}

/** Thickness of the sheet that washers are cut from, mm: 9 oz leather, or another sheet. Common practice, no source. */
const LEATHER_MM = 3.6;
const DISC_MM = 3;

/**
 * Everything to saw, blade and tang first, then the handle's pieces: with what is printed or built up instead. Rods are
 * cut to their blank lengths; screws and a blade in the hand are bought.
 */
export const cutList = remembered((design: Design): readonly CutPiece[] => {
  const materialOf = materialsIn(design);
  const { kerfMm, allowanceMm } = design.workshop.saw;
  const { have } = design.fitUp.stock;
  return pieceList(design).flatMap((piece): CutPiece[] => {
    const finishedMm = piece.key.kind === "blade" ? bladeBox(design) : boxOf(design, piece);
    if (!finishedMm) return [];
    const { key, id, material, pair, made, form } = piece;
    // What is contoured is sawn with room all round and a kerf; a slab comes in its thickness, a slice in its length.
    const room = made === "sawn" ? 2 * allowanceMm + kerfMm : 0;
    const own = have.find((h) => h.piece === id) ?? null;
    const usual = materialOf(material)?.class === "leather" ? LEATHER_MM : DISC_MM;
    const disc = piece.discs?.mm ?? own?.lengthMm ?? usual;
    const discs =
      piece.discs && finishedMm.lengthMm > disc * 1.5
        ? { count: Math.ceil(finishedMm.lengthMm / disc - ROUNDING), thicknessMm: disc }
        : null;
    const sawnMm: Size = {
      lengthMm: discs ? discs.thicknessMm : finishedMm.lengthMm + (form === "slice" ? 0 : room),
      heightMm: finishedMm.heightMm + room,
      thicknessMm: finishedMm.thicknessMm + (form === "slab" ? 0 : room),
    };
    const shortMm = own && {
      lengthMm: Math.max(0, sawnMm.lengthMm - own.lengthMm),
      heightMm: Math.max(0, sawnMm.heightMm - own.heightMm),
      thicknessMm: Math.max(0, sawnMm.thicknessMm - own.thicknessMm),
    };
    const count = discs?.count ?? piece.count;
    const grain = hasGrain(materialOf(material)) ? "lengthwise" : null;
    return [{ key, id, material, count, pair, made, discs, grain, finishedMm, sawnMm, have: own, shortMm }];
  });
});

/** The box that a piece comes out of, before it is pressed; null where nothing is left of it. */
function boxOf(design: Design, piece: Workpiece): Size | null {
  const of = pieceOutlines(design).get(piece.id);
  const points = [...(of?.outlines ?? []), ...(of?.left ?? [])].flat();
  if (points.length === 0) return null;
  const [along, up] = [spanOf(points.map((p) => p.x)), spanOf(points.map((p) => p.y))];
  const [lengthMm, heightMm, thicknessMm] = piece.across
    ? [piece.lengthMm ?? piece.across.thicknessMm, up, piece.thicknessMm ?? along]
    : [piece.lengthMm ?? along, piece.heightMm ?? up, piece.thicknessMm ?? deepest(design, piece)];
  return { lengthMm: lengthMm / (1 - piece.pressedShare), heightMm, thicknessMm };
}

const spanOf = (of: readonly number[]): number =>
  of.reduce((a, b) => Math.max(a, b)) - of.reduce((a, b) => Math.min(a, b));

/** How far a piece's parts reach across the knife. */
function deepest(design: Design, { parts: ids }: Workpiece): number {
  const { parts, regions } = assemble(design);
  const ranges = parts
    .filter((p) => ids.includes(p.id) && p.materials.length > 0)
    .flatMap((p) => rangeOf(p.regions.map((r) => regions[r]))?.[2] ?? []);
  return ranges.length > 0 ? spanOf(ranges) : 0;
}
