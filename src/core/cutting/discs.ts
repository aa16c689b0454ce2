import { fitArcs } from "../contours/fitArcs";
import type { Loop } from "../contours/loop";
import type { Design } from "../design/schema";
import { cutSolids } from "../fit/stockList";
import { layoutOf } from "../layout/layout";
import { layerRegion } from "../solids/layer";
import { endKindOf } from "../tangEnds/registry";
import { FOLLOWS_MM } from "./cutParts";
import { frontOutline } from "./frontOutline";
import { drawnPieces } from "./pieceLayers";
import { roundedBox } from "./roundedBox";

/** One disc of a stack: its place in the piece from the front, from 1, its outline and the tang's slot in it. */
export interface Disc {
  readonly piece: string;
  /** What the piece that it belongs to is called among all that are cut. */
  readonly name: string;
  readonly material: string;
  readonly thicknessMm: number;
  readonly number: number;
  readonly outlines: readonly Loop[];
  /** Height and width of the slot, mm; of a round one its diameter twice. */
  readonly slotMm: readonly [number, number];
}

/** More than the tang or its rod, so that a disc slides on, mm: as the pieces' slots have it. */
const ROD_ROOM_MM = 0.5;
/** A slot has this much room on each side where the handle's hole does not say, mm. */
const ROOM_MM = 0.1;

/** Every disc of the pieces that are stacked of discs, front first, as it lies pressed in the handle. */
export function discs(design: Design): Disc[] {
  const { tang, handle } = design;
  if (handle.kind !== "stack") return [];
  const layout = layoutOf(design);
  const room = tang.kind === "hidden" && "clearanceMm" in tang.hole ? tang.hole.clearanceMm : ROOM_MM;
  const rodMm = tang.kind === "hidden" ? (endKindOf(tang.end).rod(tang.end)?.diameterMm ?? 0) : 0;
  const names = new Map(drawnPieces(design).map((p) => [p.part.id, p.name]));
  return cutSolids(design).flatMap(({ piece: { key, id, discs: of, material }, stretches }): Disc[] => {
    if (!of || key.kind !== "piece") return [];
    const [to, from] = layout.pieces[handle.pieces.findIndex((p) => p.id === key.id)];
    const each = (from - to) / of.count;
    return Array.from({ length: of.count }, (_, i): Disc => {
      const front = from - i * each;
      const between = layerRegion(null, null, [front - each, front]);
      const outlines = frontOutline(stretches.map((s) => [...s, between]));
      const section =
        tang.kind !== "full" && front > -tang.lengthMm ? layout.tangAt(Math.min(0, front)) : null;
      const slotMm = section
        ? ([section.highY - section.lowY + 2 * room, 2 * section.halfMm + 2 * room] as const)
        : ([rodMm + ROD_ROOM_MM, rodMm + ROD_ROOM_MM] as const);
      const round = section ? 0 : slotMm[0] / 2;
      const slot =
        tang.kind === "full" || (!section && rodMm === 0)
          ? []
          : [roundedBox(tang.yMm, slotMm[1], slotMm[0], round)];
      return {
        piece: id,
        name: names.get(id) ?? id,
        material,
        thicknessMm: of.thicknessMm,
        number: i + 1,
        outlines: [...outlines.map((o) => fitArcs(o, FOLLOWS_MM)), ...slot],
        slotMm,
      };
    });
  });
}
