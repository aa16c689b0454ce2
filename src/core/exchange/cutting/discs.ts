import { openingAt } from "../../figures/fit/openings";
import { cutList } from "../../figures/fit/stockList";
import { faceOutline } from "../../figures/pieces/outlines";
import { pieceList } from "../../figures/pieces/pieceList";
import type { Loop } from "../../geometry/contours/loop";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import { stationsBetween } from "../../knife/parts/workpiece";
import { asLoops } from "./follows";
import { cutOut } from "./openings";
import { drawnPieces } from "./pieceLayers";

/** One disc of a stack: its place in the piece from the front, from 1, its outline and the tang's slot in it. */
export interface Disc {
  readonly piece: string;
  /** What the piece that it belongs to is called among all that are cut. */
  readonly name: string;
  readonly material: string;
  readonly thicknessMm: number;
  readonly number: number;
  readonly outlines: readonly Loop[];
  /** Height and width of the slot, mm; of a round one its diameter twice. Null where nothing goes through. */
  readonly slotMm: readonly [number, number] | null;
}

/** How far inside a disc's front its slot is read, mm. */
const INSIDE_MM = 1e-3;

/** Every disc of the pieces that are stacked of discs, front first, as it lies pressed in the handle. */
export function discs(design: Design): Disc[] {
  const { handle } = design;
  if (handle.kind !== "stack") return [];
  const layout = layoutOf(design);
  const names = new Map(drawnPieces(design).map((p) => [p.part.id, p.name]));
  const stacks = new Map(cutList(design).map((c) => [c.id, c.discs]));
  return pieceList(design).flatMap((piece): Disc[] => {
    const { key, id, material } = piece;
    const of = stacks.get(id);
    if (!of || key.kind !== "piece") return [];
    const [to, from] = layout.pieces[handle.pieces.findIndex((p) => p.id === key.id)];
    const each = (from - to) / of.count;
    return Array.from({ length: of.count }, (_, i): Disc => {
      const front = from - i * each;
      const outlines = faceOutline(design, piece, () => stationsBetween(front - each, front));
      const slot = openingAt(design, { stationAt: () => front - INSIDE_MM, tiltDeg: 0 });
      return {
        piece: id,
        name: names.get(id) ?? id,
        material,
        thicknessMm: of.thicknessMm,
        number: i + 1,
        outlines: [...asLoops(outlines), ...cutOut(slot?.outline ?? [])],
        slotMm: slot && [slot.heightMm, slot.thicknessMm],
      };
    });
  });
}
