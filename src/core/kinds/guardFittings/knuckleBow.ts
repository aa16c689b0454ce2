import { length, material } from "../../base/record/fields";
import { type Cubic, cubicX, cubicY, type Point, straight } from "../../geometry/curve/bezier";
import { type Contour, contourOf } from "../../geometry/curve/contour";
import { signChanges } from "../../geometry/curve/roots";
import { curveThrough } from "../../geometry/curve/spline";
import { slabRegion } from "../../geometry/solids/slab";
import { type FittingPlace, fittingKind } from "./kind";

/** Shares of the bow's length at which it stands at its full depth. */
const FULL_DEPTH = [0.3, 0.7] as const;
/** Where weighing breaks along each run of the bow, by its parameter: its ends are steep. */
const BENDS = [0.02, 0.06, 0.15, 0.35, 0.65, 0.85, 0.94, 0.98] as const;
/** Places along a run of the bow that are looked at for the handle's edge. */
const MEETING_SAMPLES = 24;
/** A bow is so many times as long as thick, or its two edges would cross. */
const LEAST_LENGTH = 4;
/** How far inside the handle's edge its rear end is let in, mm. */
const LET_IN_MM = 3;

interface Bow {
  readonly reachMm: number;
  readonly thicknessMm: number;
  readonly widthMm: number;
  readonly endMm: number;
  readonly material: string;
}

/**
 * A flat bar before the knuckles, from the guard's lower end back to the handle's lower edge near the butt; its
 * thickness is measured at its lowest, in the blade's plane. Guard and handle take their own space from its ends.
 */
export const knuckleBow = fittingKind({
  kind: "knuckleBow",
  fields: {
    // Lowest point under the axis.
    reachMm: length(10, 150),
    thicknessMm: length(0.5, 20),
    widthMm: length(1, 60),
    // Where it meets the handle, ahead of the butt.
    endMm: length(0, 100),
    material,
  },
  start: (guardMaterial) => ({
    reachMm: 45,
    thicknessMm: 3,
    widthMm: 8,
    endMm: 8,
    material: guardMaterial,
  }),
  precedence: "last",
  minutes: 90,
  shapesGuard: true,
  seen: "outside",
  build: (f, site) => {
    const outline = bowOutline(f, site);
    if (!outline) return;
    const bar = slabRegion(outline, { at0: f.widthMm / 2, slope: 0 }, outline.xRange);
    const bends = outline.cubics.flatMap((c) => BENDS.map((t) => cubicX(c, t)));
    const ends = handleMeetings(outline, site);
    const breaks = [
      ...bar.breaks,
      ...bends.map((x) => ({ x, below: false, above: false })),
      ...ends.map((x) => ({ x, below: true, above: true })),
    ];
    site.add(f.material, site.put({ ...bar, breaks }));
  },
  faults: (f, place) => {
    const at = { x: (place.span[0] + place.span[1]) / 2, y: -f.reachMm };
    const room = lengthOf(f, place);
    if (!(room > LEAST_LENGTH * f.thicknessMm))
      return [{ rule: "fitting-too-short", at, measured: room, limit: LEAST_LENGTH * f.thicknessMm }];
    const limit = Math.max(place.guard.belowMm, ...handleDepths(f, place)) + f.thicknessMm;
    return f.reachMm > limit ? [] : [{ rule: "fitting-no-room", at, measured: f.reachMm, limit }];
  },
  points: (f, { span }) => [
    { at: { x: (span[0] + span[1]) / 2, y: -f.reachMm }, y: { field: "reachMm", zero: 0, per: -1 } },
  ],
});

/** Stations of its two ends: behind the guard's middle plane, and inside the handle's edge. */
const frontX = ({ guardRange }: FittingPlace) => (guardRange[0] + guardRange[1]) / 2;
const rearX = (f: Pick<Bow, "endMm" | "thicknessMm">, { span }: FittingPlace) =>
  span[0] + Math.max(f.endMm, f.thicknessMm);
/** Its length from the side, mm; below zero where its ends have passed each other. */
const lengthOf = (f: Pick<Bow, "endMm" | "thicknessMm">, place: FittingPlace) =>
  frontX(place) - rearX(f, place);

/** How far the handle's lower edge stands under the axis over the bow's length, mm. */
function handleDepths(f: Pick<Bow, "endMm">, { outline, span }: FittingPlace): number[] {
  const [from, to] = [span[1], span[0] + f.endMm];
  return [0.1, 0.3, 0.5, 0.7, 0.9].map((t) => -(outline.cut(from + (to - from) * t)[0] ?? 0));
}

/** Stations where an edge of the bow goes into the handle. */
function handleMeetings(bow: Contour, { outline }: FittingPlace): number[] {
  const over = (c: Cubic) => (t: number) => cubicY(c, t) - (outline.cut(cubicX(c, t))[0] ?? 0);
  return bow.cubics.flatMap((c) => signChanges(over(c), 0, 1, MEETING_SAMPLES).map((t) => cubicX(c, t)));
}

/** The bow from the side; null where there is no length for it, which is a fault. */
function bowOutline(f: Bow, place: FittingPlace): Contour | null {
  const { guard, outline } = place;
  const front = { x: frontX(place), y: -guard.belowMm };
  const endX = rearX(f, place);
  const edge = outline.cut(endX);
  if (edge.length < 2 || !(lengthOf(f, place) > LEAST_LENGTH * f.thicknessMm)) return null;
  const end = { x: endX, y: edge[0] + LET_IN_MM };
  const run = (by: number): Cubic[] => {
    const at = (t: number): Point => ({ x: front.x + (end.x - front.x) * t, y: -f.reachMm + by });
    return curveThrough([
      { x: front.x - by, y: front.y + by, corner: true },
      { ...at(FULL_DEPTH[0]), corner: false },
      { ...at(FULL_DEPTH[1]), corner: false },
      { x: end.x + by, y: end.y, corner: true },
    ]);
  };
  const [outer, inner] = [run(0), run(f.thicknessMm)];
  const back = [...inner].reverse().map(({ a, b, c, d }): Cubic => ({ a: d, b: c, c: b, d: a }));
  return contourOf([
    ...outer,
    straight(outer[outer.length - 1].d, back[0].a),
    ...back,
    straight(back[back.length - 1].d, outer[0].a),
  ]);
}
