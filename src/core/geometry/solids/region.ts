import type { Break, Contour } from "../curve/contour";
import type { Slice } from "./slice";
import type { TriangleMesh } from "./triangleMesh";

/** A hole or rod along z, without end: centre (x, y) and radius in mm. A radius not above zero is empty. */
export interface Cylinder {
  readonly xMm: number;
  readonly yMm: number;
  readonly radiusMm: number;
}

/** The side of a plane where `normal` · p ≤ `offsetMm`. */
export interface HalfSpace {
  readonly normal: readonly [number, number, number];
  readonly offsetMm: number;
}

/** What a region is, with what a mesh kernel needs to make it of a solid of its own; the others it samples cut by cut. */
export type RegionKind =
  /** A round hole or rod along z. */
  | { readonly kind: "cylinder"; readonly cylinder: Cylinder }
  /** Common to sides of planes. */
  | { readonly kind: "half-spaces"; readonly planes: readonly HalfSpace[] }
  /** One layer of a closed mesh: a mesh kernel takes the whole with the first. */
  | {
      readonly kind: "mesh-layer";
      readonly mesh: TriangleMesh;
      readonly layer: number;
      /** Number of stretches in which a ray meets the shape at most, whether or not there are layers for all. */
      readonly of: number;
    }
  /** An outline of the x–y plane, without end along z. */
  | { readonly kind: "prism" }
  /** An outline of the x–y plane between two flat faces. */
  | { readonly kind: "slab" }
  /** A slab whose long corners are rounded. */
  | { readonly kind: "bar" }
  /** An outline from the side, thicknesses along x and a section. */
  | { readonly kind: "loft" }
  /** A plate across the knife, its width given at each height. */
  | {
      readonly kind: "plate";
      /** The same with x and y exchanged: its sections are rectangles then. */
      turned(): Region;
    }
  | { readonly kind: "blade" }
  /** Half an ellipsoid about an axis along z. */
  | { readonly kind: "dome" }
  /** A hollow across a flat face. */
  | { readonly kind: "dish" };

/** What both readings of a region need: where it lies along x, where its surface changes, and its cut at each station. */
export interface Cuts {
  /** Stations outside which the region is empty. */
  readonly xRange: readonly [number, number];
  readonly breaks: readonly Break[];
  /** The cut at x, or null where there is none. */
  sliceAt(x: number): Slice | null;
  /** The lowest and the highest place of the cut at x, where they are to be had for less than the cut itself. */
  reachAt?(x: number): readonly [low: number, high: number] | null;
  /**
   * All that it is made from beside its outline, as plain data: of one kind, what is made from the same is the same. Left
   * out where it is made from functions, or from too much to compare.
   */
  readonly from?: readonly unknown[];
  /** The outline that its cuts follow: at a station, what of it lies there. */
  readonly outline?: Contour;
}

/** A piece of space that a ray along z meets in one stretch: the building block of every part. mm throughout. */
export type Region = RegionKind & Cuts;
