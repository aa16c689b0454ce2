import { engagementOf, screwSizes, threadOf } from "../../base/units/screws";
import { lineAt } from "../../geometry/solids/line";
import { kindOf } from "../../kinds/fasteners/registry";
import type { Design, Fastener, FastenerKind } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import { type ItemName, itemNames } from "../../knife/shapes/itemNames";
import { linersThickness } from "../../knife/shapes/scales";
import type { Layout } from "../../knife/shapes/types";

/** One seated fastener: what to bore, how deep, and what is left round its heads. */
export interface Seat {
  readonly id: string;
  readonly kind: FastenerKind;
  readonly name: ItemName;
  /** Between the two seats. */
  readonly seatToSeatMm: number;
  readonly counterboreMm: number;
  /** Depth of the counterbore from the scale's outer face as stock, right and left. */
  readonly depthFromStockMm: readonly [number, number];
  /** Material under the head, down to the tang and its liners. */
  readonly underHeadMm: number;
  /** Finished surface over the seat, right and left, after contouring at that very spot. */
  readonly overSeatMm: readonly [number, number];
  /** Finished surface over the head's or the nut's outer face; below zero it stands proud and is dressed away. */
  readonly overHeadMm: readonly [number, number];
  readonly threadMm: number;
  readonly engagedMm: number;
  readonly engagedWantedMm: number;
  readonly screwLengthMm: number;
  readonly key: string | null;
}

const SIDES = ["right", "left"] as const;

/** Least height of the finished surface within a head's width of its centre, one side. */
function lowestSurface({ surfaceAt }: Layout, f: Fastener, radiusMm: number, side: "right" | "left"): number {
  let low = surfaceAt(f.xMm, f.yMm, side);
  for (let k = 0; k < 8; k++) {
    const [dx, dy] = [Math.cos((k * Math.PI) / 4), Math.sin((k * Math.PI) / 4)];
    low = Math.min(low, surfaceAt(f.xMm + dx * radiusMm, f.yMm + dy * radiusMm, side));
  }
  return low;
}

/** What every seated fastener asks for. Full and framed tangs; on a hidden one the seat counts from the centre plane. */
export function seats(design: Design): Seat[] {
  const layout = layoutOf(design);
  const { handle, tang } = design;
  const names = itemNames(design);
  const liners = handle.kind === "scales" ? linersThickness(handle) : 0;
  return design.fasteners.flatMap((f): Seat[] => {
    const need = kindOf(f).seat(f);
    if (!need) return [];
    const { seatMm, counterboreMm, threadMm } = need;
    const half = tang.kind === "hidden" ? 0 : lineAt(layout.tangFace, f.xMm);
    const over = SIDES.map((side) => lowestSurface(layout, f, counterboreMm / 2, side) - seatMm);
    const stock = SIDES.map((side) =>
      handle.kind === "scales"
        ? half + liners + handle[side].thicknessMm
        : layout.surfaceAt(f.xMm, f.yMm, side),
    );
    const sizes = screwSizes(threadOf(threadMm) ?? { name: "", diameterMm: threadMm, pitchMm: 0 });
    return [
      {
        id: f.id,
        kind: f.kind,
        name: names.get(f.id) ?? { kind: "fastener", sort: f.kind },
        seatToSeatMm: 2 * seatMm,
        counterboreMm,
        depthFromStockMm: [stock[0] - seatMm, stock[1] - seatMm],
        underHeadMm: seatMm - half - liners,
        overSeatMm: [over[0], over[1]],
        overHeadMm: [over[0] - need.headMm, over[1] - need.headMm],
        threadMm,
        engagedMm: need.engagedMm,
        engagedWantedMm: threadMm * (need.threadIn === null ? 1 : engagementOf(need.threadIn, need.nut)),
        screwLengthMm: need.screwLengthMm,
        key: need.keyed ? (sizes?.key ?? null) : null,
      },
    ];
  });
}
