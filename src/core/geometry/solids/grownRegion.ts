import { signChanges } from "../curve/roots";
import { ClosingZone, ROUND } from "./closingZone";
import { type GrownQuarter, grownQuarter } from "./grownSection";
import { type Loft, loftRegion } from "./loft";
import type { Region } from "./region";
import type { SectionShape } from "./section";
import { curvedSlice, type Slice } from "./slice";

/** All that lies within a lofted body and a wall of even thickness, mm, round each of its sections as they are cut off. */
export function grownRegion(loft: Loft, wallMm: number): Region {
  const { outline, sectionAt } = loft;
  const body = loftRegion(loft);
  const [from, to] = body.xRange;
  const sides = [loft.right, loft.left];
  const flattened = sides.flatMap((side) => signChanges((x) => side.crown.at(x) - side.land(x), from, to, 8));
  return {
    kind: "loft",
    xRange: [from, to],
    breaks: [...body.breaks, ...flattened.map((x) => ({ x, below: true, above: true }))],
    sliceAt: (x) => {
      const ys = x < from || x > to ? [] : outline.cut(x);
      if (ys.length < 2) return null;
      const section = sectionAt(x);
      const half = (ys[ys.length - 1] - ys[0]) / 2;
      const [right, left] = sides.map((side): GrownSide => {
        const base = Math.max(0, side.land(x));
        const rise = Math.max(MOST_FLAT_MM, side.crown.at(x) - base);
        const cap = Math.max(MOST_FLAT_MM, side.cap(x) - base);
        return {
          base,
          crown: base + Math.min(rise, cap) + wallMm,
          capped: cap < rise,
          quarter: grownQuarter(section, half, rise, cap, wallMm),
        };
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
  /** Whether it is cut off flat. */
  readonly capped: boolean;
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
    levels: [
      ...(flatCrown || left.capped ? [-left.crown] : []),
      ...(flatCrown || right.capped ? [right.crown] : []),
    ],
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
