import type { Contour } from "../../geometry/curve/contour";
import type { GroundBlade } from "../../geometry/solids/groundBlade";
import type { Region } from "../../geometry/solids/region";
import type { Design, Piece } from "../design/schema";
import type { HandleForm } from "./handleBody";
import type { ScaleEnd } from "./scaleEnd";

/** A piece of its own outline: regions that together are one stretch of it, for each stretch. */
export interface ShapedPiece {
  readonly piece: Piece;
  readonly stretches: readonly (readonly Region[])[];
}

/** One plate of a guard from the side, and how far behind the datum its faces lie in the middle, mm. */
export interface GuardPlate {
  readonly material: string;
  readonly fromMm: number;
  readonly toMm: number;
  readonly outline: Contour;
}

/** The tang's section at a station: its edges, and half its thickness, mm. */
export interface TangSection {
  readonly lowY: number;
  readonly highY: number;
  readonly halfMm: number;
}

/**
 * Where everything of a design is, in the frame of docs/method.md, mm: what is built, drawn, measured and drilled reads
 * it from here. What costs something is worked out when it is first asked for.
 */
export interface Layout extends HandleForm {
  readonly design: Design;
  /** The blade from the side, and as it is ground. */
  readonly bladeOutline: Contour;
  readonly blade: GroundBlade;
  /** Station of the handle's rear end, and of its front: behind the guard, or at the datum without one. */
  readonly buttX: number;
  readonly frontX: number;
  /** Thickness of all the guard's plates; 0 without a guard. */
  readonly guardMm: number;
  readonly guardPlates: readonly GuardPlate[];
  /** All of a guard's plates from the side; null without a guard, or of an imported one. */
  readonly guardOutline: Contour | null;
  /** The handle's solid as it is contoured, as if it had no shaped pieces. */
  readonly body: Region;
  /** The same up to where shaped pieces at its end begin. */
  readonly plainBody: Region;
  /** Stations of each piece of a stack, rear and front; none of scales. */
  readonly pieces: readonly (readonly [number, number])[];
  readonly shapedPieces: readonly ShapedPiece[];
  /** A hidden or framed tang from the side; null of a full one, whose outline is the handle's. */
  readonly barOutline: Contour | null;
  /** The hole in a handle's blocks, or in a frame, in one or several regions; none of a full tang. */
  readonly tangHoles: readonly Region[];
  /** Outline of a full tang's recess; null where rim and stations leave nothing, or there is none. */
  readonly recess: Contour | null;
  /** Where scales end ahead of the butt; null where they reach it, or there are none. */
  readonly scaleEnd: ScaleEnd | null;
  /** What stands finished at a place, from the side: the handle's body, or the bare tang behind its scales. */
  bodyAt(x: number, y: number): Region;
  /** The tang at a station, a bar beyond its ends too. */
  tangAt(x: number): TangSection;
  /** Height of the finished surface over the centre plane, on one side; 0 where there is no handle. */
  surfaceAt(x: number, y: number, side: "right" | "left"): number;
  /** The rearmost station, at a height on the centre plane, of what a hidden tang passes through. */
  rearAt(y: number): number;
}
