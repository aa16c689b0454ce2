import { remembered } from "../../base/record/remembered";
import { fittingsOn } from "../../kinds/guardFittings/registry";
import { handleModule } from "../../knife/constructions/handles/registry";
import { tangModule } from "../../knife/constructions/tangs/registry";
import type { Design, Guard } from "../../knife/design/schema";
import { fittingPlace } from "../../knife/layout/fittingPlace";
import { guardFaceAt } from "../../knife/layout/guard";
import { layoutOf } from "../../knife/layout/layout";
import { partId } from "../../knife/parts/partKey";
import {
  alike,
  type EndFace,
  FACE_MM,
  made,
  type StationsAt,
  sides,
  single,
  stationsBetween,
  type Workpiece,
} from "../../knife/parts/workpiece";
import { plateNaming } from "../../knife/shapes/itemNames";

/** Every piece that a knife is made of, but for what is bought and what is drawn off a rod: blade and tang first. */
export const pieceList = remembered((design: Design): readonly Workpiece[] => {
  const { handle, tang, guard, blade } = design;
  const layout = layoutOf(design);
  return [
    ...(blade.measured ? [] : [blankPiece(design)]),
    ...handleModule(handle).pieces(handle, layout),
    ...tangModule(tang).pieces(tang, layout),
    ...(guard && !guard.mesh ? guardPieces(design, guard) : []),
  ];
});

/** The same with blade and tang, whether they are made here or are in the hand: holes are drilled in either. */
export function piecesWithBlank(design: Design): readonly Workpiece[] {
  const listed = pieceList(design);
  return design.blade.measured ? [blankPiece(design), ...listed] : listed;
}

/** Blade and tang, or the tang's rod with it, in one. */
export function blankPiece({ blade }: Design): Workpiece {
  const parts = [partId({ kind: "blade" }), partId({ kind: "tang" })];
  return made({
    key: { kind: "blade" },
    material: blade.steel,
    parts,
    form: "slab",
    thicknessMm: blade.spineMm,
  });
}

function guardPieces(design: Design, guard: Guard): Workpiece[] {
  const { sweepAboveMm: above, sweepBelowMm: below } = guard;
  const reach = Math.max(0, above, below) - Math.min(0, above, below);
  const plates = layoutOf(design).guardPlates;
  const halves = halvedFittings(design, guard);
  const beside = halves.reduce((sum, h) => sum + (h.thicknessMm ?? 0), 0);
  const whole = guard.plates.map((p, i) => {
    const number = guard.plates.length > 1 ? i + 1 : null;
    const key = { kind: "guard", number, ...plateNaming(design, i) } as const;
    // Between two sheets beside it a plate is a sheet itself, marked out on its side.
    if (halves.length > 0)
      return single(key, p.material, { thicknessMm: guard.widthMm - 2 * beside, form: "slab" });
    const { fromMm, toMm } = plates[i];
    const stationsAt: StationsAt = (y) =>
      stationsBetween(guardFaceAt(guard, toMm, y), guardFaceAt(guard, fromMm, y));
    const end = (mm: number, inward: number): EndFace => ({
      tiltDeg: 0,
      stationAt: (y) => guardFaceAt(guard, mm, y) + inward,
    });
    return single(key, p.material, {
      across: { thicknessMm: p.thicknessMm, tiltDeg: 0, stationsAt },
      ends: { front: end(fromMm, -FACE_MM), rear: end(toMm, FACE_MM) },
      lengthMm: p.thicknessMm + reach,
      // A flat plate is cut from sheet; one with swept arms from a block.
      form: reach > 0 ? "block" : "slice",
      made: p.printed ? "printed" : "sawn",
    });
  });
  return [...whole, ...halves];
}

/** Fittings that are two sheets beside the guard's own: a pair each, marked out on their sides. */
function halvedFittings(design: Design, guard: Guard): Workpiece[] {
  const place = fittingPlace(layoutOf(design));
  if (!place) return [];
  return fittingsOn(guard).flatMap(({ kind, fitting }) => {
    const thick = kind.halfMm(fitting, place);
    if (thick === null || !("material" in fitting)) return [];
    return sides(
      (side) => ({ kind: "fitting", sort: kind.kind, side }),
      alike(fitting.material),
      alike(thick),
      {
        form: "slab",
      },
    );
  });
}
