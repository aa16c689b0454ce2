import { ROUNDING } from "../../base/tolerances";
import type { Break, Contour } from "../curve/contour";
import type { Profile } from "../curve/profile";
import { signChanges } from "../curve/roots";
import { ClosingZone } from "./closingZone";
import type { Region } from "./region";
import type { SectionShape } from "./section";
import { NONE, type Slice } from "./slice";

/** One side of a lofted body: heights z above the centre plane along x, mm. */
export interface LoftSide {
  /** Height of the crown. */
  readonly crown: Profile;
  /** Height kept at the very edge, where the section has closed. */
  land(x: number): number;
  /** Nothing stands above this: stock faces, bevels. */
  cap(x: number): number;
}

export interface Loft {
  readonly outline: Contour;
  readonly xRange: readonly [number, number];
  readonly right: LoftSide;
  readonly left: LoftSide;
  sectionAt(x: number): SectionShape;
  /** Further stations where crown, land or cap change their law. */
  readonly stations: readonly number[];
  /** All that its functions are made from, as plain data. */
  readonly from?: readonly unknown[];
}

/**
 * A body with a side outline, a thickness on each side and a section shape: handles, palm swells, scales.
 * At (x, y) it reaches from −z of the left side to +z of the right:
 * z = min(cap, land + (crown − land) · s(u)), u from −1 to 1 across the outline at x.
 */
export function loftRegion(loft: Loft): Region {
  const xRange: [number, number] = [
    Math.max(loft.xRange[0], loft.outline.xRange[0]),
    Math.min(loft.xRange[1], loft.outline.xRange[1]),
  ];
  const sliceAt = (x: number): Slice | null => {
    if (x < xRange[0] || x > xRange[1]) return null;
    const right = sideAt(loft.right, x);
    const left = loft.left === loft.right ? right : sideAt(loft.left, x);
    return new LoftSlice(loft.outline.cut(x), loft.sectionAt(x), left, right);
  };
  return {
    kind: "loft",
    xRange,
    outline: loft.outline,
    from: loft.from && [loft.xRange, loft.stations, ...loft.from],
    breaks: [
      ...loft.outline.breaks,
      ...sideBreaks(loft, loft.right, xRange),
      ...sideBreaks(loft, loft.left, xRange),
    ],
    sliceAt,
  };
}

/** Knots, and the stations where the crown passes the cap or the land, beside which a chord grows like a root. */
function sideBreaks(loft: Loft, side: LoftSide, [x0, x1]: readonly [number, number]): Break[] {
  const plain = [...side.crown.knots, ...loft.stations].map((x) => ({ x, below: false, above: false }));
  const ends = [x0, ...plain.map((b) => b.x).filter((x) => x > x0 && x < x1), x1].sort((a, b) => a - b);
  const meets = ends
    .slice(1)
    .flatMap((to, i) => [
      ...signChanges((x) => side.crown.at(x) - side.cap(x), ends[i], to, 6),
      ...signChanges((x) => side.crown.at(x) - side.land(x), ends[i], to, 6),
    ]);
  return [...plain, ...meets.map((x) => ({ x, below: true, above: true }))];
}

/** One side of a cut: z = min(cap, land + rise · height). */
interface CutSide {
  readonly land: number;
  readonly cap: number;
  readonly rise: number;
}

function sideAt(side: LoftSide, x: number): CutSide {
  const land = Math.max(0, side.land(x));
  return { land, cap: Math.max(land, side.cap(x)), rise: Math.max(0, side.crown.at(x) - land) };
}

class LoftSlice implements Slice {
  readonly creases: readonly number[];
  readonly levels: readonly number[];
  readonly zones: readonly ClosingZone[];
  readonly extraPoints: number;
  readonly flat = false;
  /** The stretch that the last y was in. */
  private k = 0;
  // Both sides are asked at the same y, one after the other, and a closing zone knows its height beforehand: the section
  // is worked out once.
  private lastY = Number.NaN;
  private lastHeight = 0;

  constructor(
    readonly ys: readonly number[],
    private readonly section: SectionShape,
    private readonly left: CutSide,
    private readonly right: CutSide,
  ) {
    const { closing, kinks, flatCrown, extraPoints } = section;
    const creases: number[] = [];
    // A crown that only touches the cap is not cut off by it.
    for (const side of left === right ? [right] : [left, right])
      if (side.cap < side.land + side.rise - ROUNDING) creases.push(...this.heightAt(side, side.cap));
    for (const u of kinks) {
      this.across(-u, creases);
      if (u > 0) this.across(u, creases);
    }
    this.creases = creases.length > 0 ? creases : NONE;
    // A flat crown is a level.
    this.levels = flatCrown ? [-left.land - left.rise, right.land + right.rise] : NONE;
    this.extraPoints = extraPoints;
    const zones: ClosingZone[] = [];
    if (closing) {
      const know = (y: number, height: number) => {
        this.lastY = y;
        this.lastHeight = height;
      };
      for (let i = 0; i + 1 < ys.length; i += 2) {
        const middle = (ys[i] + ys[i + 1]) / 2;
        const half = (ys[i + 1] - ys[i]) / 2;
        if (!(half > 0)) continue;
        zones.push(
          new ClosingZone(middle, half, -1, closing.law, closing.from, know),
          new ClosingZone(middle, half, 1, closing.law, closing.from, know),
        );
      }
    }
    this.zones = zones;
  }

  low(y: number): number {
    return -this.surface(this.left, y);
  }

  high(y: number): number {
    return this.surface(this.right, y);
  }

  crossings(z: number): readonly number[] {
    return this.heightAt(z < 0 ? this.left : this.right, Math.abs(z));
  }

  private surface(side: CutSide, y: number): number {
    if (y !== this.lastY) {
      this.lastY = y;
      this.lastHeight = this.section.height(this.shareAt(y));
    }
    const z = side.land + side.rise * this.lastHeight;
    return Math.min(z, side.cap);
  }

  /** How far y is from the middle of its stretch, as a share of half of it: −1 … 1. */
  private shareAt(y: number): number {
    const { ys } = this;
    if (ys.length > 2) {
      while (this.k + 2 < ys.length && y > ys[this.k + 1]) this.k += 2;
      while (this.k > 0 && y < ys[this.k]) this.k -= 2;
    }
    const from = ys[this.k];
    const half = (ys[this.k + 1] - from) / 2;
    return half > 0 ? (y - from - half) / half : 0;
  }

  /** The y where one side's curved surface stands z high. */
  private heightAt(side: CutSide, z: number): readonly number[] {
    if (!(side.rise > 0) || !(z > side.land) || !(z < side.land + side.rise) || z > side.cap) return NONE;
    const u = this.section.reach((z - side.land) / side.rise);
    if (u === null) return NONE;
    const found: number[] = [];
    this.across(-u, found);
    this.across(u, found);
    return found;
  }

  /** Adds the y at a share of the half of each stretch. */
  private across(u: number, into: number[]): void {
    const { ys } = this;
    for (let i = 0; i + 1 < ys.length; i += 2)
      into.push((ys[i] + ys[i + 1]) / 2 + ((ys[i + 1] - ys[i]) / 2) * u);
  }
}
