import type { Design } from "../design/schema";
import { layoutOf } from "../layout/layout";
import { degrees, radians } from "../number";
import type { Grind } from "../solids/grind";
import { type BladeSide, faceHeightAt, grindOf, isGround, spineThickness } from "../solids/groundBlade";
import { INSIDE_MM } from "../tolerances";

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

/** Shares of the ground length at which faces are told. */
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
        const heightMm = faceOf(typeof grind === "string" ? blade.grind : grind, xMm, height);
        // A side that is ground alone takes all of the thickness.
        const fall = (thicknessMm - edgeMm) / (single ? 1 : 2);
        return { heightMm, angleDeg: degrees(Math.atan2(fall, heightMm)) };
      };
      return [{ xMm, thicknessMm, right: face("right"), left: face("left") }];
    }),
  };
}

/** Height of a ground face; of two edges, from the lower one to the ridge. */
function faceOf(grind: Grind, xMm: number, heightMm: number): number {
  return "ridgeShare" in grind ? grind.ridgeShare * heightMm : faceHeightAt(grind, xMm, heightMm);
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

/** Shares of the handle's length at which its flats are told. */
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
    const alike = rows.every((_, i) => Math.abs(right[i].z - left[i].z) < 1e-6);
    return alike ? [of(right, "right")] : [of(right, "right"), of(left, "left")];
  });
}
