import { radians } from "../../base/number";
import { INSIDE_MM, ROUNDING } from "../../base/tolerances";
import type { Break } from "../curve/contour";
import { signChanges } from "../curve/roots";
import { type BladeFace, bladeFace, plungeReach, plungeX } from "./bladeFace";
import { type Grind, isDouble } from "./grind";
import {
  type BladeSide,
  faceHeightAt,
  type GroundBlade,
  grindOf,
  MOST_OF_HEIGHT,
  runOutMm,
  type SwedgeCut,
  spineThickness,
  swedgeHeight,
  taperPoints,
} from "./groundBlade";
import type { Region } from "./region";
import { curvedSlice, flatSlice, type Slice } from "./slice";

/** Points that a panel needs beyond the usual for the arcs of a fuller or a radiused plunge. */
const FOR_ARCS = 2;

/**
 * The blade ahead of the datum: unground up to the plunge line, ground from there. Symmetrical about the centre plane,
 * but where its sides differ; of a single bevel the flat face stays where the stock's face was.
 */
export function bladeRegion(blade: GroundBlade): Region {
  const { outline } = blade;
  const xRange: [number, number] = [Math.max(0, outline.xRange[0]), outline.xRange[1]];
  const plungeY = plungeHeight(blade);
  const [plunge] = plungeStations(blade, plungeY);
  return {
    kind: "blade",
    outline,
    from: [{ ...blade, outline: null }],
    xRange,
    breaks: [...outline.breaks, ...bladeBreaks(blade, plungeY)],
    sliceAt: (x) => {
      const ys = outline.cut(x);
      if (x < plunge) return unground(blade, ys, x);
      return groundSlice(blade, ys, x, plungeY);
    },
  };
}

/** The plunge line's height is measured from the edge where it begins. */
export function plungeHeight({ outline, ricassoMm, lengthMm }: GroundBlade): number {
  return (
    outline.cut(Math.min(Math.max(ricassoMm, outline.xRange[0]) + INSIDE_MM, lengthMm - INSIDE_MM))[0] ?? 0
  );
}

/** The least and the greatest station of the plunge line. */
export function plungeStations(blade: GroundBlade, plungeY: number): [number, number] {
  const ys = blade.outline.cut(Math.min(blade.ricassoMm + INSIDE_MM, blade.lengthMm - INSIDE_MM));
  const at = [plungeY, ys[ys.length - 1] ?? plungeY].map((y) => plungeX(blade, plungeY, y));
  return [Math.min(...at), Math.max(...at)];
}

/** The stock, with what fullers take that begin behind the plunge. */
function unground(blade: GroundBlade, ys: readonly number[], x: number): Slice {
  if (blade.fullers.every((f) => !(x > f.fromMm && x < f.toMm)))
    return flatSlice(ys, -blade.stockMm / 2, blade.stockMm / 2);
  return groundSlice(blade, ys, x, Number.NaN);
}

function bladeBreaks(blade: GroundBlade, plungeY: number): Break[] {
  const { lengthMm, ricassoMm, plunge, swedge, outline } = blade;
  const ricasso = Math.min(ricassoMm, lengthMm);
  const plain = (x: number): Break => ({ x, below: false, above: false });
  const heightAt = (x: number) => {
    const ys = outline.cut(x);
    return ys.length > 1 ? ys[ys.length - 1] - ys[0] : 0;
  };
  const stations: number[] = [ricasso, blade.taperFromMm, ...taperPoints(blade).map((p) => p.xMm)];
  for (const side of blade.leftGrind ? (["right", "left"] as const) : (["right"] as const)) {
    const of = grindOf(blade, side);
    const grind = of === "bevel" || of === "flat" ? blade.grind : of;
    if (!("heightMm" in grind)) continue;
    stations.push(...grind.along.map((p) => p.xMm));
    const room = (x: number) => heightAt(x) - faceHeightAt(blade, grind, x, Number.POSITIVE_INFINITY);
    stations.push(...signChanges(room, ricasso, lengthMm - INSIDE_MM, 64));
  }
  stations.push(...signChanges((x) => spineThickness(blade, x) - blade.edgeMm, ricasso, lengthMm, 8));
  if (swedge) stations.push(...swedgeStations(blade, swedge, heightAt));
  if (
    swedge ||
    blade.sharpenedDeg !== null ||
    bends(blade.grind) ||
    (blade.leftGrind && bends(blade.leftGrind))
  )
    stations.push(...NEAR_TIP_MM.map((mm) => lengthMm - mm).filter((x) => x > ricasso));
  if (blade.sharpenedDeg !== null) stations.push(...sharpenedStations(blade, blade.sharpenedDeg, heightAt));
  const breaks = stations.map(plain);
  if (plunge.radiusMm > 0 || plunge.sweepDeg !== 0) {
    const [first, last] = plungeStations(blade, plungeY);
    const reach = plungeReach(blade);
    breaks.push({ x: first, below: false, above: true });
    if (plunge.sweepDeg !== 0) breaks.push(...plungeMeetsFace(blade, plungeY, [first, last]).map(plain));
    breaks.push(...[first + reach / 3, first + reach, last, last + reach].map(plain));
  }
  for (const f of blade.fullers) {
    const out = Math.min(runOutMm(f), (f.toMm - f.fromMm) / 2);
    breaks.push({ x: f.fromMm, below: false, above: true }, plain(f.fromMm + out));
    breaks.push(plain(f.toMm - out), { x: f.toMm, below: true, above: false });
  }
  return breaks;
}

/** Toward the tip, where a blade is no longer high for its thickness, bevels change fast: weighing breaks so far from it, mm. */
const NEAR_TIP_MM = [24, 12, 6, 3, 1.5, 0.75, 0.35, 0.15];

/** Whether a grind's section bends more as the blade grows lower. */
const bends = (grind: Grind) => grind.kind === "lens" || grind.kind === "double-hollow";

/** Where a false edge begins, has grown, is held to the blade's height, and no longer takes anything. */
function swedgeStations(blade: GroundBlade, swedge: SwedgeCut, heightAt: (x: number) => number): number[] {
  const { lengthMm } = blade;
  const from = lengthMm - swedge.lengthMm;
  const ends = [Math.max(0, from) + INSIDE_MM, lengthMm - INSIDE_MM] as const;
  const held = (x: number) =>
    swedgeHeight(swedge, blade, x, Number.POSITIVE_INFINITY) - MOST_OF_HEIGHT * heightAt(x);
  const plain = { ...blade, swedge: null, sharpenedDeg: null, fullers: [] };
  const takes = (side: BladeSide) => (x: number) => {
    const faces = bladeFacesAt(plain, x);
    return faces ? faces[side].half(faces.spineY) - swedge.leavesMm / 2 : -1;
  };
  const meetsFace = (side: BladeSide) => (x: number) => {
    const faces = bladeFacesAt(plain, x);
    const mark = faces?.[side].marks.find((m) => m.of === "face");
    if (!faces || !mark) return -1;
    return mark.y - faces.spineY + swedgeHeight(swedge, blade, x, faces.spineY - faces.edgeY);
  };
  return [
    from,
    ...signChanges(meetsFace("right"), ...ends, 32),
    ...(alike(blade) ? [] : signChanges(meetsFace("left"), ...ends, 32)),
    from + swedge.runOutMm,
    ...signChanges(held, ...ends, 32),
    ...signChanges(takes("right"), ...ends, 32),
    ...(alike(blade) ? [] : signChanges(takes("left"), ...ends, 32)),
  ];
}

/** Where the grind has grown as steep as the secondary bevel, so that the bevel runs up to the spine. */
function sharpenedStations(blade: GroundBlade, angleDeg: number, heightAt: (x: number) => number): number[] {
  const slope = Math.tan(radians(angleDeg));
  const reach = (share: number) => (x: number) =>
    heightAt(x) * slope -
    share * (spineThickness(blade, x) - Math.min(blade.edgeMm, spineThickness(blade, x)));
  const ends = [Math.min(blade.ricassoMm, blade.lengthMm), blade.lengthMm - INSIDE_MM] as const;
  return [0.5, 1].flatMap((share) => signChanges(reach(share), ...ends, 32));
}

/** Stations where a leaning plunge line passes the top of a ground face. */
function plungeMeetsFace(
  blade: GroundBlade,
  plungeY: number,
  [first, last]: readonly [number, number],
): number[] {
  const lean = Math.tan(radians(blade.plunge.sweepDeg));
  return (["right", "left"] as const).flatMap((side) => {
    const of = grindOf(blade, side);
    const grind = of === "bevel" || of === "flat" ? blade.grind : of;
    return signChanges(
      (x) => {
        const ys = blade.outline.cut(x);
        const high = (ys[ys.length - 1] ?? 0) - (ys[0] ?? 0);
        const top = isDouble(grind) ? grind.ridgeShare * high : faceHeightAt(blade, grind, x, high);
        return plungeY + (x - plungeX(blade, plungeY, plungeY)) / lean - (ys[0] ?? 0) - top;
      },
      first + INSIDE_MM,
      last - INSIDE_MM,
      16,
    );
  });
}

/** Whether what is cut into the right side is cut into the left one too. */
function alike({ grind, leftGrind, swedge, fullers }: GroundBlade): boolean {
  return (
    leftGrind === null &&
    grind.kind !== "single-bevel" &&
    (swedge?.sides ?? "both") === "both" &&
    fullers.every((f) => f.sides === "both")
  );
}

/** Both faces at x; not a number for `plungeY` stands for a station behind the plunge. */
export function facesAt(blade: GroundBlade, ys: readonly number[], x: number, plungeY: number) {
  const edgeY = ys[0] ?? 0;
  const at = {
    x,
    edgeY,
    spineY: ys[ys.length - 1] ?? edgeY,
    plungeY: Number.isNaN(plungeY) ? edgeY : plungeY,
  };
  const of = Number.isNaN(plungeY) ? asStock(blade) : blade;
  const right = bladeFace(of, "right", at);
  return { right, left: alike(blade) ? right : bladeFace(of, "left", at) };
}

const stocks = new WeakMap<GroundBlade, GroundBlade>();

/** The blade as if nothing but its fullers were ground. */
function asStock(blade: GroundBlade): GroundBlade {
  let known = stocks.get(blade);
  if (!known) {
    const flat = { grind: { kind: "none" }, leftGrind: null, swedge: null, sharpenedDeg: null } as const;
    known = { ...blade, ...flat, taperFromMm: blade.lengthMm, taper: [] };
    stocks.set(blade, known);
  }
  return known;
}

function groundSlice(blade: GroundBlade, ys: readonly number[], x: number, plungeY: number): Slice {
  const { right, left } = facesAt(blade, ys, x, plungeY);
  const marks = left === right ? right.marks : [...right.marks, ...left.marks];
  const arcs = blade.plunge.radiusMm > 0 || blade.fullers.length > 0;
  const low = (y: number) => -left.half(y);
  const through = cutThrough(right, left, [...ys, ...marks.map((m) => m.y)]);
  const common = {
    ys,
    creases: [...marks.map((m) => m.y), ...through],
    extraPoints: arcs ? FOR_ARCS : 0,
  };
  // Grooves that meet leave nothing between them; the checks name it.
  return curvedSlice({ ...common, low, high: (y) => Math.max(right.half(y), low(y)) });
}

/** Between two creases so many places are looked at for where both sides meet. */
const THROUGH_SAMPLES = 4;

/** Heights at which both sides meet, beyond which nothing is left of the blade. `places` are its creases and ends. */
function cutThrough(right: BladeFace, left: BladeFace, places: readonly number[]): number[] {
  const thickness = (y: number) => right.half(y) + left.half(y);
  if (places.every((y) => thickness(y) > -ROUNDING)) return [];
  const sorted = [...places].sort((a, b) => a - b);
  return sorted
    .slice(1)
    .flatMap((to, i) => signChanges(thickness, sorted[i] + INSIDE_MM, to - INSIDE_MM, THROUGH_SAMPLES));
}

/** Both sides of the blade at a station between its ends, with its edges there; null where it has none. */
export function bladeFacesAt(blade: GroundBlade, x: number) {
  const ys = blade.outline.cut(x);
  if (ys.length < 2) return null;
  const plungeY = plungeHeight(blade);
  const behind = x < plungeStations(blade, plungeY)[0];
  const faces = facesAt(blade, ys, x, behind ? Number.NaN : plungeY);
  return { ...faces, edgeY: ys[0], spineY: ys[ys.length - 1] };
}
