import { clamp, radians } from "../../base/number";
import type { Contour } from "../curve/contour";
import { type Profile, profileThrough } from "../curve/profile";
import type { Grind, SideGrind } from "./grind";

export type BladeSide = "right" | "left";
export type OnSides = "both" | BladeSide;

/** A groove along a blade, mm; its run-outs lie between its ends. */
export interface FullerCut {
  readonly id: string;
  readonly sides: OnSides;
  readonly fromMm: number;
  readonly toMm: number;
  readonly from: "spine" | "middle";
  readonly downMm: number;
  readonly radiusMm: number;
  readonly depthMm: number;
  readonly tool: { readonly kind: "ball" } | { readonly kind: "wheel"; readonly runOutRadiusMm: number };
}

/** A false edge: from the tip back over its length, growing to its height over the run-out. */
export interface SwedgeCut {
  readonly lengthMm: number;
  readonly runOutMm: number;
  readonly heightMm: number;
  readonly leavesMm: number;
  readonly sides: OnSides;
}

/** All that a blade is ground from, as plain data but for its outline. */
export interface GroundBlade {
  readonly outline: Contour;
  readonly lengthMm: number;
  readonly ricassoMm: number;
  readonly grind: Grind;
  /** Of the left side; null where both are alike. */
  readonly leftGrind: SideGrind | null;
  readonly stockMm: number;
  readonly tipMm: number;
  readonly edgeMm: number;
  readonly taperFromMm: number;
  readonly taper: readonly { readonly xMm: number; readonly thicknessMm: number }[];
  readonly plunge: { readonly sweepDeg: number; readonly radiusMm: number };
  readonly swedge: SwedgeCut | null;
  readonly fullers: readonly FullerCut[];
  readonly sharpenedDeg: number | null;
}

const profiles = new WeakMap<GroundBlade, Profile>();

/** Spine thickness at x: the stock's until the distal taper begins, then a profile through its points to the tip's. */
export function spineThickness(blade: GroundBlade, x: number): number {
  const { lengthMm, taperFromMm, stockMm } = blade;
  if (!(x > taperFromMm) || !(lengthMm > taperFromMm)) return stockMm;
  let profile = profiles.get(blade);
  if (!profile) {
    profile = profileThrough([
      { x: taperFromMm, v: stockMm },
      ...taperPoints(blade).map((p) => ({ x: p.xMm, v: p.thicknessMm })),
      { x: lengthMm, v: blade.tipMm },
    ]);
    profiles.set(blade, profile);
  }
  return profile.at(x);
}

/** The points of a distal taper that lie between its beginning and the tip. */
export function taperPoints({
  taper,
  taperFromMm,
  lengthMm,
}: Pick<GroundBlade, "taper" | "taperFromMm" | "lengthMm">) {
  return taper.filter((p) => p.xMm > taperFromMm && p.xMm < lengthMm);
}

/** The grind of one side; of a single bevel the other side is not ground. */
export function grindOf({ grind, leftGrind }: GroundBlade, side: BladeSide): SideGrind | "bevel" | "flat" {
  if (grind.kind === "single-bevel") return grind.side === side ? "bevel" : "flat";
  return side === "left" && leftGrind ? leftGrind : grind;
}

/** How many of its sides are ground, one or two; of a blade that is not ground, two. */
export function groundSides(blade: GroundBlade): 1 | 2 {
  return isGround(blade, "right") !== isGround(blade, "left") ? 1 : 2;
}

/** Whether a side of the blade is ground at all. */
export function isGround(blade: GroundBlade, side: BladeSide): boolean {
  const of = grindOf(blade, side);
  return of !== "flat" && (of === "bevel" || of.kind !== "none");
}

const faces = new WeakMap<readonly unknown[], Profile>();

/**
 * Height of the ground face at x, where the blade is `bladeHeightMm` high: as it is given, or as one angle that is kept
 * makes it of the thickness there. A face that would run over the spine ends at it, and stands steeper there.
 */
export function faceHeightAt(blade: GroundBlade, grind: Grind, x: number, bladeHeightMm: number): number {
  if (!("heightMm" in grind)) return bladeHeightMm;
  const { along, heightMm, angleDeg } = grind;
  if (angleDeg !== null) {
    const fall = Math.max(0, spineThickness(blade, x) - blade.edgeMm) / groundSides(blade);
    return Math.min(fall / Math.tan(radians(angleDeg)), bladeHeightMm);
  }
  if (along.length === 0) return Math.min(heightMm, bladeHeightMm);
  let profile = faces.get(along);
  if (!profile) {
    profile = profileThrough(along.map((p) => ({ x: p.xMm, v: p.heightMm })));
    faces.set(along, profile);
  }
  return Math.min(profile.at(x), bladeHeightMm);
}

/** Half the width of a round groove: 2·√(2Rd − d²) over all, or its tool's radius where it is deeper than that. */
export function grooveHalf(radiusMm: number, depthMm: number): number {
  return depthMm < radiusMm ? Math.sqrt(2 * radiusMm * depthMm - depthMm * depthMm) : radiusMm;
}

/** Length of one run-out, mm: that of the tool's arc from the full depth to the surface, or its radius. */
export function runOutMm(f: FullerCut): number {
  return grooveHalf(runOutRadius(f), f.depthMm);
}

function runOutRadius(f: FullerCut): number {
  return f.tool.kind === "ball" ? f.radiusMm : f.tool.runOutRadiusMm;
}

/**
 * The arc of a fuller at x: its radius, and its depth at the middle; null where it does not reach. A ball's arc grows
 * smaller in its run-outs, a wheel's stays.
 */
export function fullerAt(f: FullerCut, x: number): { radiusMm: number; depthMm: number } | null {
  if (!(x > f.fromMm) || !(x < f.toMm)) return null;
  const out = Math.max(0, runOutMm(f) - Math.min(x - f.fromMm, f.toMm - x));
  if (out === 0) return f;
  const r = runOutRadius(f);
  const reach = Math.sqrt(Math.max(0, r * r - out * out));
  const depthMm = reach - (r - f.depthMm);
  if (!(depthMm > 0)) return null;
  return { radiusMm: f.tool.kind === "ball" ? reach : f.radiusMm, depthMm };
}

/** A false edge takes this share of a blade's height at most. */
export const MOST_OF_HEIGHT = 0.9;

/** Height of a false edge at x, on a blade that is `bladeHeightMm` high there: at most nine tenths of that. */
export function swedgeHeight(
  swedge: SwedgeCut,
  blade: GroundBlade,
  x: number,
  bladeHeightMm: number,
): number {
  const from = blade.lengthMm - swedge.lengthMm;
  if (!(x > from)) return 0;
  const grown = swedge.runOutMm > 0 ? clamp((x - from) / swedge.runOutMm, 0, 1) : 1;
  return Math.min(swedge.heightMm * grown, MOST_OF_HEIGHT * bladeHeightMm);
}

export const isOn = (sides: OnSides, side: BladeSide) => sides === "both" || sides === side;
