import type { Contour } from "../curve/contour";
import type { Profile } from "../curve/profile";
import { signChanges } from "../curve/roots";
import { ClosingZone, ROUND } from "./closingZone";
import { type GrownQuarter, grownQuarter } from "./grownSection";
import type { Region } from "./region";
import type { SectionShape } from "./section";
import { curvedSlice, type Slice } from "./slice";

/** A lofted body and the wall round it. mm. */
export interface Grown {
  readonly outline: Contour;
  readonly xRange: readonly [number, number];
  readonly crowns: { readonly right: Profile; readonly left: Profile };
  /** Height that the body's surface has at its very edge. */
  land(x: number): number;
  readonly sections: { at(x: number): SectionShape; readonly stations: readonly number[] };
  /** Thickness of the wall, square to the section's border in every cut across the body. */
  readonly wallMm: number;
}

/** All that lies within a lofted body and a wall of even thickness round each of its sections. */
export function grownRegion({ outline, xRange, crowns, land, sections, wallMm }: Grown): Region {
  const [from, to] = [Math.max(xRange[0], outline.xRange[0]), Math.min(xRange[1], outline.xRange[1])];
  const risen = ["right", "left"] as const;
  const plain = [...risen.flatMap((side) => crowns[side].knots), ...sections.stations];
  const flattened = risen.flatMap((side) => signChanges((x) => crowns[side].at(x) - land(x), from, to, 8));
  return {
    kind: "loft",
    xRange: [from, to],
    breaks: [
      ...outline.breaks,
      ...plain.map((x) => ({ x, below: false, above: false })),
      ...flattened.map((x) => ({ x, below: true, above: true })),
    ],
    sliceAt: (x) => {
      const ys = x < from || x > to ? [] : outline.cut(x);
      if (ys.length < 2) return null;
      const section = sections.at(x);
      const half = (ys[ys.length - 1] - ys[0]) / 2;
      const base = Math.max(0, land(x));
      const [right, left] = risen.map((side) => {
        const rise = Math.max(MOST_FLAT_MM, crowns[side].at(x) - base);
        return { base, crown: base + rise + wallMm, quarter: grownQuarter(section, half, rise, wallMm) };
      });
      return sliceOf((ys[ys.length - 1] + ys[0]) / 2, half, wallMm, section, { right, left });
    },
  };
}

/** A section that does not rise at all is taken to rise by this, mm. */
const MOST_FLAT_MM = 1e-6;

interface GrownSide {
  readonly base: number;
  readonly crown: number;
  readonly quarter: GrownQuarter;
}

function sliceOf(
  middle: number,
  half: number,
  wall: number,
  section: SectionShape,
  { right, left }: { readonly right: GrownSide; readonly left: GrownSide },
): Slice {
  const { closing, curve, kinks, extraPoints, flatCrown } = section;
  const both = (off: number) => (off > 0 ? [middle - off, middle + off] : [middle]);
  const surface = ({ base, quarter }: GrownSide, y: number) => base + quarter.height(Math.abs(y - middle));
  return curvedSlice({
    ys: [middle - half - wall, middle + half + wall],
    creases: [
      ...[right, left].flatMap((s) => s.quarter.creases.flatMap(both)),
      ...(curve.kind === "superellipse" && kinks.length > 0 ? [middle] : []),
    ],
    levels: flatCrown ? [-left.crown, right.crown] : [],
    crossings: (z) => {
      const side = z < 0 ? left : right;
      const up = Math.abs(z) - side.base;
      const off = up > 0 ? side.quarter.reach(up) : null;
      return off === null ? [] : both(off);
    },
    zones: ([-1, 1] as const).map((side) =>
      closing
        ? new ClosingZone(middle, half + wall, side, closing.law, closing.from)
        : new ClosingZone(middle + side * half, wall, side, ROUND),
    ),
    extraPoints: extraPoints + 1,
    low: (y) => -surface(left, y),
    high: (y) => surface(right, y),
  });
}
