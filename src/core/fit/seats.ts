import type { Design, Fastener } from "../design/schema";
import { type Layout, layoutOf } from "../layout/layout";
import { linersThickness } from "../layout/scales";
import { lineAt } from "../solids/layer";
import { engagementOf, screwSizes, threadOf } from "./screws";

/** Fasteners with heads or nuts in counterbores. */
export type Seated = Extract<Fastener, { seatMm: number }>;

/** One seated fastener: what to bore, how deep, and what is left round its heads. */
export interface Seat {
  readonly id: string;
  readonly kind: Seated["kind"];
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
function lowestSurface({ surfaceAt }: Layout, f: Seated, radiusMm: number, side: "right" | "left"): number {
  let low = surfaceAt(f.xMm, f.yMm, side);
  for (let k = 0; k < 8; k++) {
    const [dx, dy] = [Math.cos((k * Math.PI) / 4), Math.sin((k * Math.PI) / 4)];
    low = Math.min(low, surfaceAt(f.xMm + dx * radiusMm, f.yMm + dy * radiusMm, side));
  }
  return low;
}

export function isSeated(f: Fastener): f is Seated {
  return "seatMm" in f;
}

/** What every seated fastener asks for. Full and framed tangs; on a hidden one the seat counts from the centre plane. */
export function seats(design: Design): Seat[] {
  const layout = layoutOf(design);
  const { handle, tang } = design;
  return design.fasteners.filter(isSeated).map((f): Seat => {
    const half = tang.kind === "hidden" ? 0 : lineAt(layout.tangFace, f.xMm);
    const liners = handle.kind === "scales" ? linersThickness(handle) : 0;
    const wide = f.kind === "sleeve-bolt" ? f.headMm : f.counterboreMm;
    const over = SIDES.map((side) => lowestSurface(layout, f, wide / 2, side) - f.seatMm) as [number, number];
    const head =
      f.kind === "sleeve-bolt" ? f.headThicknessMm : f.kind === "cap-screw" ? f.headLengthMm : f.nutLengthMm;
    const stock =
      handle.kind === "scales"
        ? [handle.right.thicknessMm, handle.left.thicknessMm].map((t) => half + liners + t)
        : SIDES.map((side) => layout.surfaceAt(f.xMm, f.yMm, side));
    const thread = f.kind === "sleeve-bolt" ? f.screwMm : f.diameterMm;
    const sizes = screwSizes(threadOf(thread) ?? { name: "", diameterMm: thread, pitchMm: 0 });
    return {
      id: f.id,
      kind: f.kind,
      seatToSeatMm: 2 * f.seatMm,
      counterboreMm: wide,
      depthFromStockMm: [stock[0] - f.seatMm, stock[1] - f.seatMm],
      underHeadMm: f.seatMm - half - liners,
      overSeatMm: over,
      overHeadMm: [over[0] - head, over[1] - head],
      threadMm: thread,
      engagedMm: engagedOf(f),
      engagedWantedMm:
        thread *
        (f.kind === "sleeve-bolt" ? 1 : engagementOf(f.kind === "cap-screw" ? f.insertMaterial : f.material)),
      screwLengthMm: f.kind === "nutted-rod" ? 2 * (f.seatMm + f.nutLengthMm) : f.screwLengthMm,
      key: f.kind === "cap-screw" ? (sizes?.key ?? null) : null,
    };
  });
}

/**
 * Length of thread that holds. A sleeve bolt's barrel is tapped from its middle on: what of the screw passes the
 * middle; a cap screw's is what of it lies in the insert; a nut's is its own length.
 */
function engagedOf(f: Seated): number {
  if (f.kind === "sleeve-bolt") return Math.max(0, Math.min(f.screwLengthMm - f.seatMm, f.seatMm));
  if (f.kind === "nutted-rod") return f.nutLengthMm;
  const tip = Math.max(0, f.seatMm - f.screwLengthMm);
  return Math.max(0, f.insertLengthMm / 2 - tip);
}
