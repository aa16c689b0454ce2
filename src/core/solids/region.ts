import type { Break } from "../curve/contour";
import type { TriangleMesh } from "./triangleMesh";

/** A hole or rod along z, without end: centre (x, y) and radius in mm. A radius not above zero is empty. */
export interface Drill {
  readonly xMm: number;
  readonly yMm: number;
  readonly radiusMm: number;
}

/** The side of a plane where `normal` · p ≤ `offsetMm`. */
export interface HalfSpace {
  readonly normal: readonly [number, number, number];
  readonly offsetMm: number;
}

/**
 * A stretch of y where a region's surface closes like a root, with a variable s in which it is smooth. `place(s)`
 * answers y and leaves |dy/ds| in `stretch`.
 */
export interface ClosingZone {
  readonly y0: number;
  readonly y1: number;
  /** The end, y0 or y1, at which the surface closes. */
  readonly outerY: number;
  stretch: number;
  toParameter(y: number): number;
  place(s: number): number;
}

/**
 * A region cut at one x. Along a ray through (x, y) it fills z from `low(y)` to `high(y)`; callers ask only for y
 * within `ys`. Levels and crossings let two regions of one cut find where their surfaces meet.
 */
export interface Slice {
  /** Filled stretches of y: y0, y1, y0, y1 …, ascending; null where y does not limit the region. */
  readonly ys: readonly number[] | null;
  /** Further y where the surface has a crease. */
  readonly creases: readonly number[];
  /** Heights z of faces that run flat across this cut. */
  readonly levels: readonly number[];
  /** Where the curved part of the surface passes through height z. */
  crossings(z: number): readonly number[];
  readonly zones: readonly ClosingZone[];
  /** Points that a panel needs beyond the usual for this surface's bends. */
  readonly extraPoints: number;
  /** Whether `low` and `high` are the same at every y of this cut. */
  readonly flat: boolean;
  low(y: number): number;
  high(y: number): number;
}

/** A piece of space that a ray along z meets in one stretch: the building block of every part. mm throughout. */
export interface Region {
  /** Stations outside which the region is empty. */
  readonly xRange: readonly [number, number];
  readonly breaks: readonly Break[];
  /** Set where the region is a round hole along z: a mesh kernel has a solid for that. */
  readonly drill?: Drill;
  /** Set where the region is nothing but sides of planes: a mesh kernel cuts by those. */
  readonly planes?: readonly HalfSpace[];
  /** Set where the region is one layer of a closed mesh: a mesh kernel takes the whole with the first. */
  readonly meshLayer?: {
    readonly mesh: TriangleMesh;
    readonly layer: number;
    /** Number of stretches in which a ray meets the shape at most, whether or not there are layers for all. */
    readonly of: number;
  };
  /** The cut at x, or null where there is none. */
  sliceAt(x: number): Slice | null;
}

export const NO_CROSSINGS: readonly number[] = [];
const NO_ZONES: readonly ClosingZone[] = [];

// One of each for all cuts: a weighing makes tens of thousands.
/** What a surface answers that no height meets. */
export const noCrossings = (): readonly number[] => NO_CROSSINGS;
/** Faces of a region without end below and above. */
export const endlessLow = (): number => Number.NEGATIVE_INFINITY;
export const endlessHigh = (): number => Number.POSITIVE_INFINITY;

/** A cut between two faces at fixed heights; null for `ys` limits nothing in y. */
export function flatSlice(ys: readonly number[] | null, low: number, high: number): Slice {
  const levels = [low, high].filter(Number.isFinite);
  return {
    ys,
    creases: NO_CROSSINGS,
    levels,
    crossings: noCrossings,
    zones: NO_ZONES,
    extraPoints: 0,
    flat: true,
    low: low === Number.NEGATIVE_INFINITY ? endlessLow : () => low,
    high: high === Number.POSITIVE_INFINITY ? endlessHigh : () => high,
  };
}

/** A cut through all heights, within stretches of y. */
export function throughSlice(ys: readonly number[]): Slice {
  return {
    ys,
    creases: NO_CROSSINGS,
    levels: NO_CROSSINGS,
    crossings: noCrossings,
    zones: NO_ZONES,
    extraPoints: 0,
    flat: true,
    low: endlessLow,
    high: endlessHigh,
  };
}
