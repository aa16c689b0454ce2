import type { Break, Contour } from "../curve/contour";
import type { Profile } from "../curve/profile";
import { signChanges } from "../curve/roots";
import { type ClosingZone, NO_CROSSINGS, type Region } from "./region";
import type { SectionShape } from "./section";

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
  return {
    xRange,
    breaks: [
      ...loft.outline.breaks,
      ...sideBreaks(loft, loft.right, xRange),
      ...sideBreaks(loft, loft.left, xRange),
    ],
    sliceAt: (x) => (x < xRange[0] || x > xRange[1] ? null : loftSlice(loft, x)),
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

function loftSlice(loft: Loft, x: number) {
  const ys = loft.outline.cut(x);
  const section = loft.sectionAt(x);
  const sides = [loft.left, loft.right].map((side) => {
    const land = Math.max(0, side.land(x));
    const cap = Math.max(land, side.cap(x));
    return { land, cap, rise: Math.max(0, side.crown.at(x) - land) };
  });
  const [left, right] = sides;

  let k = 0;
  const u = (y: number): number => {
    if (ys.length > 2) {
      while (k + 2 < ys.length && y > ys[k + 1]) k += 2;
      while (k > 0 && y < ys[k]) k -= 2;
    }
    const half = (ys[k + 1] - ys[k]) / 2;
    return half > 0 ? (y - ys[k] - half) / half : 0;
  };
  // Both sides are asked at the same y, one after the other, and a closing zone knows its height beforehand: the
  // section is worked out once.
  let lastY = Number.NaN;
  let lastHeight = 0;
  const know = (y: number, height: number) => {
    lastY = y;
    lastHeight = height;
  };
  const surface = (side: (typeof sides)[number], y: number) => {
    if (y !== lastY) know(y, section.height(u(y)));
    const z = side.land + side.rise * lastHeight;
    return Math.min(z, side.cap);
  };

  return {
    ys,
    creases: [
      ...sides.flatMap((s) => (s.cap < s.land + s.rise ? heightAt(s, s.cap) : NO_CROSSINGS)),
      ...kinksAcross(ys, section.kinks),
    ],
    // A flat crown is a level.
    levels: sides.flatMap((s, i) => (section.flatCrown ? [(i === 0 ? -1 : 1) * (s.land + s.rise)] : [])),
    crossings: (z: number) => heightAt(z < 0 ? left : right, Math.abs(z)),
    zones: closingZones(ys, section, know),
    extraPoints: section.extraPoints,
    flat: false,
    low: (y: number) => -surface(left, y),
    high: (y: number) => surface(right, y),
  };

  /** The y where one side's curved surface stands z high. */
  function heightAt(side: (typeof sides)[number], z: number): readonly number[] {
    if (!(side.rise > 0) || !(z > side.land) || !(z < side.land + side.rise) || z > side.cap)
      return NO_CROSSINGS;
    const at = section.reach((z - side.land) / side.rise);
    if (at === null) return NO_CROSSINGS;
    const found: number[] = [];
    for (let i = 0; i < ys.length; i += 2) {
      const mid = (ys[i] + ys[i + 1]) / 2;
      const half = (ys[i + 1] - ys[i]) / 2;
      found.push(mid - half * at, mid + half * at);
    }
    return found;
  }
}

/** Where the corners of a section stand on each stretch of y. */
function kinksAcross(ys: readonly number[], kinks: readonly number[]): readonly number[] {
  if (kinks.length === 0) return NO_CROSSINGS;
  const found: number[] = [];
  for (let i = 0; i + 1 < ys.length; i += 2) {
    const mid = (ys[i] + ys[i + 1]) / 2;
    const half = (ys[i + 1] - ys[i]) / 2;
    for (const u of kinks) {
      found.push(mid - half * u);
      if (u > 0) found.push(mid + half * u);
    }
  }
  return found;
}

/** The two ends of each stretch of y, where the section falls to its land. `know` is told each height placed. */
function closingZones(
  ys: readonly number[],
  section: SectionShape,
  know: (y: number, height: number) => void,
): ClosingZone[] {
  const from = section.closesFrom;
  if (from === null) return [];
  const zones: ClosingZone[] = [];
  for (let i = 0; i < ys.length; i += 2) {
    const mid = (ys[i] + ys[i + 1]) / 2;
    const half = (ys[i + 1] - ys[i]) / 2;
    if (!(half > 0)) continue;
    for (const sign of [-1, 1]) {
      const inner = mid + sign * half * from;
      const outer = mid + sign * half;
      const zone: ClosingZone = {
        y0: Math.min(inner, outer),
        y1: Math.max(inner, outer),
        outerY: outer,
        stretch: 0,
        toParameter: (y) => section.height((y - mid) / half),
        place: (s) => {
          const u = section.reach(s)!;
          const y = mid + sign * half * u;
          zone.stretch = half * section.stretch(s, u);
          know(y, s);
          return y;
        },
      };
      zones.push(zone);
    }
  }
  return zones;
}
