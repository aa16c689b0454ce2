import { ROUNDING } from "../../base/tolerances";
import type { Slice } from "../../geometry/solids/slice";
import type { Assembly } from "../../knife/parts/types";
import { commonStretches } from "./silhouette";

/** One piece of a part in a cross-section. */
export interface SectionShape {
  readonly id: string;
  /** Null for a void. */
  readonly material: string | null;
  /** (y, z) in mm, closed. */
  readonly points: readonly (readonly [number, number])[];
}

/** Rows that a piece of a section is drawn by. */
const ROWS = 72;

/** What each part fills at x, the last in precedence first: drawn in this order, earlier parts cover later ones. */
export function sectionShapes({ regions, parts }: Assembly, x: number): SectionShape[] {
  const slices = regions.map((r) => (x > r.xRange[0] && x < r.xRange[1] ? r.sliceAt(x) : null));
  return [...parts].reverse().flatMap((part): SectionShape[] => {
    const of = part.regions.map((r) => slices[r]);
    if (of.some((s) => !s)) return [];
    const cuts = of as Slice[];
    const ys = commonStretches(cuts.map((s) => s.ys));
    const shapes: SectionShape[] = [];
    for (let k = 0; k + 1 < ys.length; k += 2) {
      for (const points of piecesOf(cuts, ys[k], ys[k + 1]))
        shapes.push({ id: part.id, material: part.materials[0]?.materialId ?? null, points });
    }
    return shapes;
  });
}

/** The border between two heights: more than one piece where the surfaces cross between. */
function piecesOf(cuts: readonly Slice[], lowest: number, highest: number): [number, number][][] {
  const pieces: [number, number][][] = [];
  let left: [number, number][] = [];
  let right: [number, number][] = [];
  const close = () => {
    if (left.length > 1) pieces.push([...left, ...right.reverse()]);
    left = [];
    right = [];
  };
  for (let i = 0; i <= ROWS; i++) {
    // Rows crowd toward the ends, where sections close steeply.
    const y = (lowest + highest) / 2 - ((highest - lowest) / 2 - ROUNDING) * Math.cos((Math.PI * i) / ROWS);
    const low = Math.max(...cuts.map((s) => s.low(y)));
    const high = Math.min(...cuts.map((s) => s.high(y)));
    if (!(high >= low) || !Number.isFinite(high - low)) {
      close();
      continue;
    }
    left.push([y, low]);
    right.push([y, high]);
  }
  close();
  return pieces;
}
