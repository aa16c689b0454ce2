import type { Point } from "../curve/bezier";
import { type Contour, contourOf } from "../curve/contour";
import { ClosingZone } from "./closingZone";
import type { Region } from "./region";
import type { SectionShape } from "./section";
import { curvedSlice, flatSlice, NONE } from "./slice";

/** How wide a plate across the knife is at each height, and the heights where that changes its law. mm. */
export interface FaceWidth {
  half(y: number): number;
  /** Where the face stands z to the side. */
  reach(z: number): readonly number[];
  readonly creases: readonly number[];
  readonly zones: readonly ClosingZone[];
  readonly extraPoints: number;
  /** As wide at every height. */
  readonly even: boolean;
  /** All that its functions are made from, as plain data. */
  readonly from: readonly unknown[];
}

/** A plate across the knife: its outline from the side, and its width at each height from the front. */
export function plateRegion(
  outline: Contour,
  width: FaceWidth,
  creaseStations: readonly number[] = [],
): Region {
  return {
    kind: "plate",
    turned: () => turnedPlate(outline, width),
    outline,
    from: [creaseStations, ...width.from],
    xRange: outline.xRange,
    breaks: [...outline.breaks, ...creaseStations.map((x) => ({ x, below: false, above: false }))],
    sliceAt: (x) => {
      const ys = outline.cut(x);
      if (ys.length < 2) return null;
      if (width.even) return flatSlice(ys, -width.half(0), width.half(0));
      return curvedSlice({
        ys,
        creases: width.creases,
        crossings: (z) => width.reach(Math.abs(z)),
        zones: width.zones,
        extraPoints: width.extraPoints,
        low: (y) => -width.half(y),
        high: (y) => width.half(y),
      });
    },
  };
}

/** A plate with x and y exchanged. */
function turnedPlate(outline: Contour, width: FaceWidth): Region {
  const exchanged = ({ x, y }: Point): Point => ({ x: y, y: x });
  const turned = contourOf(
    outline.cubics.map(({ a, b, c, d }) => ({
      a: exchanged(a),
      b: exchanged(b),
      c: exchanged(c),
      d: exchanged(d),
    })),
  );
  // Where the face closes, its width runs off like a root.
  const closing = width.zones.length > 0;
  const ends = turned.xRange.map((x) => ({ x, below: closing, above: closing }));
  return {
    kind: "slab",
    outline: turned,
    xRange: turned.xRange,
    breaks: [...turned.breaks, ...ends, ...width.creases.map((x) => ({ x, below: false, above: false }))],
    sliceAt: (y) => {
      const xs = turned.cut(y);
      return xs.length < 2 ? null : flatSlice(xs, -width.half(y), width.half(y));
    },
  };
}

/** From a rectangle to an oval between two heights. */
export function roundedWidth(y0: number, y1: number, widthMm: number, section: SectionShape): FaceWidth {
  const mid = (y0 + y1) / 2;
  const h = (y1 - y0) / 2;
  const w = widthMm / 2;
  const { closing } = section;
  return {
    half: (y) => w * section.height((y - mid) / h),
    reach: (z) => {
      const u = z > 0 && z < w ? section.reach(z / w) : null;
      return u === null ? NONE : [mid - h * u, mid + h * u];
    },
    creases: section.kinks.flatMap((u) => [mid - h * u, mid + h * u]),
    zones: closing
      ? ([-1, 1] as const).map((s) => new ClosingZone(mid, h, s, closing.law, closing.from))
      : [],
    extraPoints: section.extraPoints,
    even: closing === null && section.kinks.length === 0,
    from: ["rounded", y0, y1, widthMm, section.from],
  };
}

/** As wide as the boss in the middle, falling in a hollow curve to the arms' width at both ends. */
export function armedWidth(
  y0: number,
  y1: number,
  boss: number,
  widthMm: number,
  armWidthMm: number,
): FaceWidth {
  const [w, arm] = [widthMm / 2, armWidthMm / 2];
  const half = (y: number): number => {
    const end = y > 0 ? y1 : -y0;
    const beyond = Math.abs(y) - boss;
    if (!(beyond > 0) || !(end > boss)) return w;
    const left = 1 - Math.min(1, beyond / (end - boss));
    return arm + (w - arm) * left ** 3;
  };
  return {
    half,
    reach: (z) => {
      const share = (z - arm) / (w - arm);
      if (!(share > 0) || !(share < 1)) return NONE;
      const t = 1 - Math.cbrt(share);
      return [-boss - t * (-y0 - boss), boss + t * (y1 - boss)];
    },
    creases: [-boss, boss],
    zones: [],
    extraPoints: 2,
    even: false,
    from: ["armed", y0, y1, boss, widthMm, armWidthMm],
  };
}
