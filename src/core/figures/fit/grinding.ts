import { degrees, radians } from "../../base/number";
import { INSIDE_MM, ROUNDING, SAME_PLACE_MM } from "../../base/tolerances";
import { polyline } from "../../geometry/curve/crossing";
import { bladeFacesAt } from "../../geometry/solids/bladeRegion";
import type { Grind } from "../../geometry/solids/grind";
import {
  type BladeSide,
  faceHeightAt,
  type GroundBlade,
  grindOf,
  groundSides,
  isGround,
  spineThickness,
} from "../../geometry/solids/groundBlade";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";

/** One side's ground face at a station: its height over the edge, and its lean from the blade's middle plane. */
export interface FaceAt {
  readonly heightMm: number;
  /** Of hollow and round faces, of the chord from edge to top. */
  readonly angleDeg: number;
}

export interface GrindStation {
  readonly xMm: number;
  readonly thicknessMm: number;
  /** Null of a side that is not ground. */
  readonly right: FaceAt | null;
  readonly left: FaceAt | null;
}

/** What is scribed and set before a blade is ground. */
export interface GrindingAids {
  readonly edgeMm: number;
  /**
   * Heights of the two lines on the edge over a flat that the blade lies on: what is left between them is the edge. Of one
   * ground side there is but one.
   */
  readonly scribedMm: readonly number[];
  /** Where the ground face begins, ahead of the datum. */
  readonly plungeMm: number;
  readonly stations: readonly GrindStation[];
}

/** Shares of the ground length at which faces are listed. */
const SHARES = [0.02, 0.2, 0.4, 0.6, 0.8, 0.95];

/** The blade's ground faces along it, and the lines to grind to. Common practice, geometry. */
export function grindingAids(design: Design): GrindingAids {
  const { blade } = layoutOf(design);
  const { spineMm, edgeMm, ricassoMm, lengthMm } = design.blade;
  const sides = (["right", "left"] as const).map((side) => isGround(blade, side));
  const low = (spineMm - edgeMm) / 2;
  const single = sides.filter(Boolean).length === 1;
  return {
    edgeMm,
    scribedMm: single ? [edgeMm] : [low, low + edgeMm],
    plungeMm: ricassoMm,
    stations: SHARES.flatMap((share): GrindStation[] => {
      const xMm = ricassoMm + share * (lengthMm - ricassoMm);
      const ys = blade.outline.cut(xMm);
      if (ys.length < 2) return [];
      const height = ys[ys.length - 1] - ys[0];
      const thicknessMm = spineThickness(blade, xMm);
      const face = (side: BladeSide): FaceAt | null => {
        if (!isGround(blade, side)) return null;
        const grind = grindOf(blade, side);
        const heightMm = faceOf(blade, typeof grind === "string" ? blade.grind : grind, xMm, height);
        // A side that is ground alone takes all of the thickness.
        const fall = (thicknessMm - edgeMm) / (single ? 1 : 2);
        return { heightMm, angleDeg: degrees(Math.atan2(fall, heightMm)) };
      };
      return [{ xMm, thicknessMm, right: face("right"), left: face("left") }];
    }),
  };
}

/** Height of a ground face; of two edges, from the lower one to the ridge. */
function faceOf(blade: GroundBlade, grind: Grind, xMm: number, heightMm: number): number {
  return "ridgeShare" in grind ? grind.ridgeShare * heightMm : faceHeightAt(blade, grind, xMm, heightMm);
}

/** One side's face as it is ground before hardening, and once its flats are finished: heights of its line over the edge. */
export interface StageAt {
  readonly xMm: number;
  readonly side: BladeSide;
  readonly angleDeg: number;
  readonly softMm: number;
  readonly finishedMm: number;
  /** Of the finished line, after the flats have been ground. */
  readonly flattedMm: number;
}

/**
 * The grind line before hardening, where the edge is left thicker: with one angle α kept it stands (e₁ − e₂)/(2·tan α)
 * below the finished one, and flats ground by s a side afterwards lower that by s/tan α. Of a blade that is ground on one
 * side alone all of the edge is that side's. Geometry.
 */
export function grindStages(design: Design): StageAt[] {
  const { softEdgeMm, flatsMm } = design.fitUp.grinding;
  const { edgeMm } = design.blade;
  const sides = groundSides(layoutOf(design).blade);
  return grindingAids(design).stations.flatMap((s) =>
    (["right", "left"] as const).flatMap((side): StageAt[] => {
      const face = s[side];
      if (!face || !(face.angleDeg > 0)) return [];
      const slope = Math.tan(radians(face.angleDeg));
      const below = Math.max(0, softEdgeMm - edgeMm) / sides / slope;
      return [
        {
          xMm: s.xMm,
          side,
          angleDeg: face.angleDeg,
          softMm: Math.max(0, face.heightMm - below),
          finishedMm: face.heightMm,
          flattedMm: Math.max(0, face.heightMm - flatsMm / slope),
        },
      ];
    }),
  );
}

/** Thickness of the blade at a station, at heights over the edge: before hardening, and finished but not sharpened. */
export interface ThicknessAt {
  readonly xMm: number;
  readonly at: readonly { readonly heightMm: number; readonly softMm: number; readonly finishedMm: number }[];
}

/** Heights over the edge at which a blade is measured, mm. */
const MEASURED_AT = [1, 5, 10, 15, 20, 30, 45];

export function thicknessTable(design: Design): ThicknessAt[] {
  const { softEdgeMm } = design.fitUp.grinding;
  const blade: GroundBlade = { ...layoutOf(design).blade, sharpenedDeg: null };
  const more = Math.max(0, softEdgeMm - blade.edgeMm);
  return grindingAids(design).stations.flatMap(({ xMm, thicknessMm }): ThicknessAt[] => {
    const faces = bladeFacesAt(blade, xMm);
    if (!faces) return [];
    const { right, left, edgeY, spineY } = faces;
    const at = MEASURED_AT.filter((h) => h < spineY - edgeY).map((heightMm) => {
      const finishedMm = right.half(edgeY + heightMm) + left.half(edgeY + heightMm);
      return { heightMm, finishedMm, softMm: Math.min(thicknessMm, finishedMm + more) };
    });
    return [{ xMm, at }];
  });
}

/** A concave stretch of an outline or a hollow, and the largest wheel or round file that is there and fits it. */
export interface HollowTool {
  readonly of: "waist" | "groove" | "outline" | "notch" | "fuller";
  /** Behind the datum below zero, as stations are. */
  readonly xMm: number;
  readonly radiusMm: number;
  readonly tool: { readonly kind: "wheel" | "file"; readonly diameterMm: number } | null;
}

/** Chords a segment of the handle's edge is read by, and how sharp a bend is still a corner to be filed, mm. */
const EDGE_CHORDS = 40;
const CORNER_MM = 1.5;
/** A stretch flatter than this is worked on a platen, mm. */
const FLAT_MM = 400;

/** Every concave stretch that a wheel, a drum or a round file is chosen for, front first. */
export function hollowTools(design: Design): HollowTool[] {
  const { wheelsMm, filesMm } = design.workshop.grinders;
  const { handle, blade } = design;
  const fitting = (radiusMm: number): HollowTool["tool"] => {
    const fits = [
      ...wheelsMm.map((diameterMm) => ({ kind: "wheel" as const, diameterMm })),
      ...filesMm.map((diameterMm) => ({ kind: "file" as const, diameterMm })),
    ].filter((t) => t.diameterMm / 2 <= radiusMm + ROUNDING);
    return fits.sort((a, b) => b.diameterMm - a.diameterMm)[0] ?? null;
  };
  const put = (of: HollowTool["of"], xMm: number, radiusMm: number): HollowTool => ({
    of,
    xMm,
    radiusMm,
    tool: fitting(radiusMm),
  });
  return [
    ...blade.fullers.map((f) => put("fuller", f.fromMm, f.radiusMm)),
    ...blade.notches.map((n) => put("notch", n.xMm, n.radiusMm)),
    ...(handle.waist ? [put("waist", handle.waist.xMm, handle.waist.wheelRadiusMm)] : []),
    ...handle.grooves.map((g) => put("groove", g.xMm, g.diameterMm / 2)),
    ...(handle.kind === "bare"
      ? []
      : concaveStretches(design).map(({ xMm, radiusMm }) => put("outline", xMm, radiusMm))),
  ].sort((a, b) => b.xMm - a.xMm);
}

/** Stretches of the handle's outline that bend inward, each by its tightest radius and where that is. */
function concaveStretches(design: Design): { xMm: number; radiusMm: number }[] {
  const points = layoutOf(design).outline.cubics.flatMap((c) => polyline([c], EDGE_CHORDS).slice(1));
  const turns = points.map((b, i) => {
    const a = points[(i - 1 + points.length) % points.length];
    const c = points[(i + 1) % points.length];
    const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, c.x - b.x, c.y - b.y];
    const turn = Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy);
    const along = (Math.hypot(ux, uy) + Math.hypot(vx, vy)) / 2;
    return { x: b.x, turn, radiusMm: turn === 0 ? Number.POSITIVE_INFINITY : along / Math.abs(turn) };
  });
  // The outline runs one way round: what turns against it is concave.
  const way = Math.sign(turns.reduce((sum, t) => sum + t.turn, 0));
  const found: { xMm: number; radiusMm: number }[] = [];
  let inside = false;
  for (const { x, turn, radiusMm } of turns) {
    const concave = turn * way < 0 && radiusMm < FLAT_MM;
    if (concave && radiusMm > CORNER_MM) {
      const last = found[found.length - 1];
      if (!inside) found.push({ xMm: x, radiusMm });
      else if (last && radiusMm < last.radiusMm) found[found.length - 1] = { xMm: x, radiusMm };
      inside = true;
    } else if (!concave) inside = false;
  }
  return found;
}

/** Flats that are cut along a handle before it is rounded, at one station of one side. */
export interface FlatsAt {
  readonly behindMm: number;
  readonly side: BladeSide;
  readonly heightMm: number;
  /** From the centre plane to the crown. */
  readonly halfMm: number;
  /** Width of the first flat, at 45° over the corner of the squared handle. */
  readonly firstMm: number;
  /** Widths of the second ones over its edges: toward the flat side, and toward back and belly. */
  readonly secondMm: readonly [number, number];
}

/** Shares of the handle's length at which its flats are listed. */
const FLAT_SHARES = [0.12, 0.38, 0.62, 0.88];

/**
 * Widths of the flats that touch the finished section: the handle is squared to its height and thickness first, then cut
 * at 45°, then at 22½° over each new edge, and rounded last. Both sides where they differ. Common practice, geometry.
 */
export function handleFlats(design: Design): FlatsAt[] {
  const { body, buttX, frontX } = layoutOf(design);
  return FLAT_SHARES.flatMap((share): FlatsAt[] => {
    const x = frontX - share * (frontX - buttX);
    const slice = body.sliceAt(x);
    const ys = slice?.ys;
    if (!slice || !ys || ys.length < 2) return [];
    const [low, high] = [ys[0], ys[ys.length - 1]];
    const [middle, half] = [(low + high) / 2, (high - low) / 2];
    const rows = Array.from(
      { length: 181 },
      (_, i) => middle - (half - INSIDE_MM) * Math.cos((Math.PI * i) / 180),
    );
    const right = rows.map((y) => ({ y: y - middle, z: slice.high(y) }));
    const left = rows.map((y) => ({ y: y - middle, z: -slice.low(y) }));
    const of = (points: typeof right, side: BladeSide): FlatsAt => {
      /** How far the section reaches in a direction, by its angle from the side's own. */
      const reach = (deg: number) =>
        Math.max(...points.map(({ y, z }) => z * Math.cos(radians(deg)) + y * Math.sin(radians(deg))));
      const width = (deg: number, step: number) => {
        const [before, here, after] = [reach(deg - step), reach(deg), reach(deg + step)];
        const [c, s] = [Math.cos(radians(step)), Math.sin(radians(step))];
        return Math.max(0, (before - here * c) / s + (after - here * c) / s);
      };
      return {
        behindMm: -x,
        side,
        heightMm: 2 * half,
        halfMm: reach(0),
        firstMm: width(45, 45),
        secondMm: [width(22.5, 22.5), width(67.5, 22.5)],
      };
    };
    const alike = rows.every((_, i) => Math.abs(right[i].z - left[i].z) < SAME_PLACE_MM);
    return alike ? [of(right, "right")] : [of(right, "right"), of(left, "left")];
  });
}
