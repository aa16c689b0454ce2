import { remembered } from "../../base/record/remembered";
import { type Cubic, cubicX, cubicY, type Point, straight } from "../../geometry/curve/bezier";
import { type Contour, contourOf, insideBy } from "../../geometry/curve/contour";
import { polyline } from "../../geometry/curve/crossing";
import { signChanges } from "../../geometry/curve/roots";
import { curveThrough } from "../../geometry/curve/spline";
import { prismRegion } from "../../geometry/solids/prism";
import type { Region } from "../../geometry/solids/region";
import type { Lengthwise } from "../design/schema";
import type { Layout } from "./types";

/** How far a joint runs on level ahead of its first point and behind its last, and how far up and down from it what it parts goes, mm. */
const BEYOND_MM = 700;
const FAR_MM = 700;

/** The joint from behind the handle to ahead of it, as cubics, raised by so much. */
function jointCurve({ points }: Lengthwise, upMm: number): Cubic[] {
  const up = ({ xMm, yMm, corner }: Lengthwise["points"][number]) => ({ x: xMm, y: yMm + upMm, corner });
  const knots = points.map(up).reverse();
  const [rear, front] = [knots[0], knots[knots.length - 1]];
  return [
    straight({ x: rear.x - BEYOND_MM, y: rear.y }, rear),
    ...curveThrough(knots),
    straight(front, { x: front.x + BEYOND_MM, y: front.y }),
  ];
}

const backwards = (cubics: readonly Cubic[]): Cubic[] =>
  [...cubics].reverse().map(({ a, b, c, d }) => ({ a: d, b: c, c: b, d: a }));

/** Two runs of cubics, one over the other from rear to front, closed at both ends. */
function between(low: readonly Cubic[], high: readonly Cubic[]): Contour {
  const [lowRear, lowFront] = [low[0].a, low[low.length - 1].d];
  const [highRear, highFront] = [high[0].a, high[high.length - 1].d];
  return contourOf([...low, straight(lowFront, highFront), ...backwards(high), straight(highRear, lowRear)]);
}

interface Parted {
  readonly lower: Contour;
  readonly sheet: Contour | null;
  readonly upper: Contour;
  /** The joint itself, from rear to front. */
  readonly curve: readonly Cubic[];
}

/** Outlines of what lies below the joint; of that with the sheet in it, where there is one; and of what lies above. */
export const lengthwiseOutlines = remembered((lengthwise: Lengthwise): Parted => {
  const curve = jointCurve(lengthwise, 0);
  const level = (byMm: number) => {
    const at = (p: Point): Point => ({ x: p.x, y: p.y + byMm });
    return [straight(at(curve[0].a), at(curve[curve.length - 1].d))];
  };
  const { divider } = lengthwise;
  const top = divider ? jointCurve(lengthwise, divider.thicknessMm) : curve;
  return {
    lower: between(level(-FAR_MM), curve),
    sheet: divider ? between(level(-FAR_MM), top) : null,
    upper: between(top, level(FAR_MM)),
    curve,
  };
});

/** What lies above the joint. */
export const upperRegion = (lengthwise: Lengthwise): Region =>
  prismRegion(lengthwiseOutlines(lengthwise).upper);

interface LengthwiseFace {
  readonly kind: "lower" | "lengthwise-sheet";
  readonly material: string;
  readonly outline: Contour;
}

/** What a joint along the handle parts off from what is above it: what lies below, and the sheet over that; the first takes first. */
export function lengthwiseFaces(lengthwise: Lengthwise | null): LengthwiseFace[] {
  if (!lengthwise) return [];
  const { lower, sheet } = lengthwiseOutlines(lengthwise);
  const { material, divider } = lengthwise;
  const faces: LengthwiseFace[] = [{ kind: "lower", material, outline: lower }];
  if (divider && sheet) faces.push({ kind: "lengthwise-sheet", material: divider.material, outline: sheet });
  return faces;
}

/** Steps of a segment that meetings are looked for in. */
const STEPS = 40;

/** Stations where an outline crosses that of the handle, or the rim of anything round that goes through it there. */
function meetingStations({ cubics }: Contour, { outline, design }: Layout): number[] {
  const inside = ({ x, y }: Point) => insideBy(outline, x, y);
  const rims = design.fasteners.map(
    ({ xMm, yMm, diameterMm }) =>
      ({ x, y }: Point) =>
        Math.hypot(x - xMm, y - yMm) - diameterMm / 2,
  );
  return cubics.flatMap((c) => {
    const at = (t: number): Point => ({ x: cubicX(c, t), y: cubicY(c, t) });
    return [inside, ...rims].flatMap((f) => signChanges((t) => f(at(t)), 0, 1, STEPS).map((t) => at(t).x));
  });
}

/** The same as regions, for parts; weighing breaks where their joint meets the handle's edge and what goes through it. */
export function lengthwiseParts(lengthwise: Lengthwise | null, layout: Layout) {
  return lengthwiseFaces(lengthwise).map(({ outline, ...part }) => {
    const region = prismRegion(outline);
    const more = meetingStations(outline, layout).map((x) => ({ x, below: true, above: true }));
    return { ...part, region: { ...region, breaks: [...region.breaks, ...more] } };
  });
}

/** Chords to a segment of a curve that is measured. */
const CHORDS = 24;

/** Length of a joint along the handle over so many stations, mm. */
export function alongJoint(lengthwise: Lengthwise, [from, to]: readonly [number, number]): number {
  const points = polyline(lengthwiseOutlines(lengthwise).curve, CHORDS);
  let length = 0;
  for (let i = 0; i + 1 < points.length; i++) {
    const [p, q] = [points[i], points[i + 1]];
    const within = Math.min(q.x, to) - Math.max(p.x, from);
    if (within > 0) length += (within / (q.x - p.x)) * Math.hypot(q.x - p.x, q.y - p.y);
  }
  return length;
}
