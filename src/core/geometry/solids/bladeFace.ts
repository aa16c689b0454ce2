import { radians } from "../../base/number";
import { INSIDE_MM } from "../../base/tolerances";
import { rootBetween, signChanges } from "../curve/roots";
import { type Grind, type GrindCut, groundThickness, isDouble } from "./grind";
import {
  type BladeSide,
  type FullerCut,
  faceHeightAt,
  fullerAt,
  type GroundBlade,
  grindOf,
  grooveHalf,
  isGround,
  isOn,
  spineThickness,
  swedgeHeight,
} from "./groundBlade";

/** What a line on a blade's face is: drawings follow it, and weighing breaks at it. */
export type FaceLine = "face" | "ridge" | "swedge" | "sharpened" | "plunge" | `fuller:${string}`;

export interface FaceMark {
  readonly of: FaceLine;
  readonly y: number;
}

/** One side of a blade at one station: how far its surface stands from the centre plane, mm. */
export interface BladeFace {
  half(y: number): number;
  /** Where it has a corner. */
  readonly marks: readonly FaceMark[];
}

/** Where a station lies: its heights at the edge and at the spine, and that of the edge where the plunge line begins. */
export interface FacePlace {
  readonly x: number;
  readonly edgeY: number;
  readonly spineY: number;
  readonly plungeY: number;
}

/**
 * One side's face, cut by cut as it is made: the grind from edge to spine, the false edge, sharpening, the plunge's end
 * of the grind, and fullers last.
 */
export function bladeFace(blade: GroundBlade, side: BladeSide, at: FacePlace): BladeFace {
  let face = groundFace(blade, side, at);
  if (blade.swedge && isOn(blade.swedge.sides, side)) face = withSwedge(blade, face, at);
  if (blade.sharpenedDeg !== null) face = sharpened(blade, blade.sharpenedDeg, side, face, at);
  face = withPlunge(blade, face, at);
  for (const f of blade.fullers)
    if (isOn(f.sides, side)) face = withFuller(f, grindOf(blade, side), face, at);
  return face;
}

/** Whether one side alone is ground, so that the other's flat is where the edge lies; and how far that flat stands out. */
function flatOpposite(blade: GroundBlade, side: BladeSide, thicknessMm: number): number | null {
  const [mine, other] = [grindOf(blade, side), grindOf(blade, side === "right" ? "left" : "right")];
  if (mine === "bevel") return blade.stockMm / 2;
  if (mine === "flat" || typeof other === "string") return null;
  return other.kind === "none" && mine.kind !== "none" ? thicknessMm / 2 : null;
}

function groundFace(blade: GroundBlade, side: BladeSide, { x, edgeY, spineY }: FacePlace): BladeFace {
  const mine = grindOf(blade, side);
  const thicknessMm = spineThickness(blade, x);
  if (mine === "flat") return { half: () => blade.stockMm / 2, marks: [] };
  const grind: Grind = mine === "bevel" ? blade.grind : mine;
  if (grind.kind === "none") return { half: () => thicknessMm / 2, marks: [] };
  const edgeMm = Math.min(blade.edgeMm, thicknessMm);
  const height = spineY - edgeY;
  const flat = flatOpposite(blade, side, thicknessMm);
  // Of a blade that is ground on one side alone, that side's face has all of the thickness to fall by.
  const sides = flat === null ? 1 : 2;
  const cutTo = (faceMm: number): GrindCut => ({
    spineMm: sides * thicknessMm,
    edgeMm: sides * edgeMm,
    faceMm,
  });
  const half = (t: number) => t / 2 - (flat ?? 0);
  if (isDouble(grind)) {
    const ridgeY = edgeY + grind.ridgeShare * height;
    const [below, above] = [cutTo(ridgeY - edgeY), cutTo(spineY - ridgeY)];
    return {
      half: (y) =>
        half(
          y < ridgeY ? groundThickness(grind, below, y - edgeY) : groundThickness(grind, above, spineY - y),
        ),
      marks: [{ of: "ridge", y: ridgeY }],
    };
  }
  const cut = cutTo(faceHeightAt(blade, grind, x, height));
  return {
    half: (y) => half(groundThickness(grind, cut, y - edgeY)),
    marks: cut.faceMm < height ? [{ of: "face", y: edgeY + cut.faceMm }] : [],
  };
}

/** Places along a false edge that are looked at for where it meets the face, and how far over its foot it is looked at. */
const SWEDGE_SAMPLES = 8;
const JUST_OVER = 1e-4;

/** A plane from what is left at the spine down to the face at the false edge's height. */
function withSwedge(blade: GroundBlade, face: BladeFace, { x, edgeY, spineY }: FacePlace): BladeFace {
  const swedge = blade.swedge;
  const high = swedge ? swedgeHeight(swedge, blade, x, spineY - edgeY) : 0;
  if (!swedge || !(high > 0)) return face;
  const foot = spineY - high;
  const [top, bottom] = [swedge.leavesMm / 2, face.half(foot)];
  const plane = (y: number) => top + ((bottom - top) * (spineY - y)) / high;
  const over = (y: number) => face.half(y) - plane(y);
  // A face that is hollow falls under the plane's foot before the plane does.
  const ends = signChanges(over, foot + INSIDE_MM, spineY - INSIDE_MM, SWEDGE_SAMPLES);
  const takes = over(foot + high * JUST_OVER) > 0;
  if (!takes && ends.length === 0) return face;
  return {
    half: (y) => (y > foot ? Math.min(face.half(y), plane(y)) : face.half(y)),
    // What the plane has cut away is no corner any more.
    marks: [
      ...face.marks.filter((m) => m.y <= foot || over(m.y) < 0),
      ...[...(takes ? [foot] : []), ...ends].map((y) => ({ of: "swedge", y }) as const),
    ],
  };
}

/** Places up a bevel's reach that are looked at for where it meets the face. */
const SHARPENED_SAMPLES = 16;

/** The secondary bevels of sharpening: each leaves the edge at its angle, from the centre plane, or from the other side's flat. */
function sharpened(
  blade: GroundBlade,
  angleDeg: number,
  side: BladeSide,
  face: BladeFace,
  { x, edgeY, spineY }: FacePlace,
): BladeFace {
  const mine = grindOf(blade, side);
  const thicknessMm = spineThickness(blade, x);
  // The flat of a blade that is ground on one side is not sharpened.
  if (!isGround(blade, side) && isGround(blade, side === "right" ? "left" : "right")) return face;
  const slope = Math.tan(radians(angleDeg));
  const from = -(flatOpposite(blade, side, thicknessMm) ?? 0);
  const double = mine !== "bevel" && mine !== "flat" && isDouble(mine);
  const reach = Math.min(spineY - edgeY, (2 * thicknessMm) / slope);
  const over = (v: number) => from + v * slope;
  const marks: FaceMark[] = [];
  // A hollow face, or a false edge above, may meet the bevel more than once.
  const meets = (gap: (v: number) => number) => signChanges(gap, 0, reach, SHARPENED_SAMPLES);
  for (const v of meets((u) => over(u) - face.half(edgeY + u))) marks.push({ of: "sharpened", y: edgeY + v });
  if (double)
    for (const v of meets((u) => over(u) - face.half(spineY - u)))
      marks.push({ of: "sharpened", y: spineY - v });
  return {
    half: (y) =>
      Math.min(face.half(y), over(y - edgeY), double ? over(spineY - y) : Number.POSITIVE_INFINITY),
    marks: [...face.marks, ...marks],
  };
}

/** Station of the plunge line at a height. */
export function plungeX(blade: GroundBlade, plungeY: number, y: number): number {
  const { sweepDeg } = blade.plunge;
  return (
    Math.min(blade.ricassoMm, blade.lengthMm) +
    (sweepDeg === 0 ? 0 : (y - plungeY) * Math.tan(radians(sweepDeg)))
  );
}

/** How far ahead of its line the plunge reaches anywhere at most. */
export function plungeReach(blade: GroundBlade): number {
  const { radiusMm } = blade.plunge;
  return radiusMm > 0 ? grooveHalf(radiusMm, blade.stockMm) : 0;
}

/** Two marks stand so far on either side of a step, mm. */
const STEP_APART_MM = 1e-6;

/**
 * Behind the plunge line the stock as it was; ahead of it, where the belt's edge or a wheel left a radius, its arc, level
 * on the ground face, up to the line.
 */
function withPlunge(
  blade: GroundBlade,
  face: BladeFace,
  { x, edgeY, spineY, plungeY }: FacePlace,
): BladeFace {
  const { sweepDeg, radiusMm } = blade.plunge;
  const stock = blade.stockMm / 2;
  const ends = [plungeX(blade, plungeY, edgeY), plungeX(blade, plungeY, spineY)];
  if (x >= Math.max(...ends) + plungeReach(blade)) return face;
  if (x < Math.min(...ends)) return { half: () => stock, marks: [] };
  const half = (y: number) => {
    const s = x - plungeX(blade, plungeY, y);
    if (s < 0) return stock;
    const ground = face.half(y);
    const depth = stock - ground;
    const fillet = depth > 0 ? grooveHalf(radiusMm, depth) : 0;
    if (s >= fillet) return ground;
    const left = fillet - s;
    return ground + radiusMm - Math.sqrt(Math.max(0, radiusMm * radiusMm - left * left));
  };
  const marks: FaceMark[] = [...face.marks];
  if (sweepDeg !== 0) {
    const y = plungeY + (x - plungeX(blade, plungeY, plungeY)) / Math.tan(radians(sweepDeg));
    if (y > edgeY && y < spineY)
      marks.push({ of: "plunge", y: y - STEP_APART_MM }, { of: "plunge", y: y + STEP_APART_MM });
  }
  if (radiusMm > 0) {
    const beyond = (y: number) =>
      x - plungeX(blade, plungeY, y) - grooveHalf(radiusMm, Math.max(0, stock - face.half(y)));
    for (const y of signChanges(beyond, edgeY, spineY, 8)) marks.push({ of: "plunge", y });
  }
  return { half, marks };
}

/** Height of a fuller's middle line. */
function fullerY(f: FullerCut, grind: ReturnType<typeof grindOf>, { edgeY, spineY }: FacePlace): number {
  if (f.from === "spine") return spineY - f.downMm;
  const share = typeof grind !== "string" && isDouble(grind) ? grind.ridgeShare : 0.5;
  return edgeY + share * (spineY - edgeY) - f.downMm;
}

/** A round groove, its depth measured from the face at its middle. */
function withFuller(
  f: FullerCut,
  grind: ReturnType<typeof grindOf>,
  face: BladeFace,
  at: FacePlace,
): BladeFace {
  const cut = fullerAt(f, at.x);
  if (!cut) return face;
  const { radiusMm: r, depthMm } = cut;
  const middle = fullerY(f, grind, at);
  const centre = face.half(middle) - depthMm + r;
  const groove = (y: number) => centre - Math.sqrt(Math.max(0, r * r - (y - middle) * (y - middle)));
  const marks: FaceMark[] = [];
  for (const side of [-1, 1]) {
    const reach = Math.min(r, side < 0 ? middle - at.edgeY : at.spineY - middle);
    if (!(reach > 0)) continue;
    const under = (v: number) => face.half(middle + side * v) - groove(middle + side * v);
    // The wall of a groove deeper than its radius stands upright.
    if (under(reach) > 0 && reach === r)
      marks.push(
        { of: `fuller:${f.id}`, y: middle + side * r },
        { of: `fuller:${f.id}`, y: middle + side * (r + STEP_APART_MM) },
      );
    else if (under(reach) <= 0)
      marks.push({ of: `fuller:${f.id}`, y: middle + side * rootBetween(under, 0, reach) });
  }
  return {
    half: (y) => (Math.abs(y - middle) < r ? Math.min(face.half(y), groove(y)) : face.half(y)),
    marks: [...face.marks, ...marks],
  };
}
