import type { Fields, RecordOf } from "../../base/record/fields";
import type { Point } from "../../geometry/curve/bezier";
import type { Contour } from "../../geometry/curve/contour";
import type { Loft } from "../../geometry/solids/loft";
import type { Region } from "../../geometry/solids/region";
import type { LengthBore } from "../fasteners/kind";

/** What a fitting is fitted to: the guard, the handle behind it, and the tang through it. mm. */
export interface FittingPlace {
  readonly guard: { readonly aboveMm: number; readonly belowMm: number; readonly widthMm: number };
  /** Stations that the guard reaches between, its sweep included. */
  readonly guardRange: readonly [number, number];
  /** The handle's outline, and the stations of its butt and its front. */
  readonly outline: Contour;
  readonly span: readonly [number, number];
  /** What the handle is lofted from between two stations. */
  handleOver(xRange: readonly [number, number]): Loft;
  /** Middle of the tang's height over the axis, and its lowest and highest point at the guard; null of a full tang. */
  readonly tangY: number;
  readonly bar: { readonly low: number; readonly high: number } | null;
  /** How thick the blade is where it leaves the guard. */
  readonly bladeMm: number;
  /** Lower edge of the handle's front. */
  readonly frontLowY: number;
}

/** Where a fitting is built; regions are referred to by their numbers. */
export interface FittingSite extends FittingPlace {
  /** Regions that together are one stretch of a plate, for each stretch of each plate. */
  readonly plates: readonly (readonly number[])[];
  put(region: Region): number;
  /** Adds what the regions have in common to the fitting; of no material it is a void. */
  add(material: string | null, ...regions: readonly number[]): void;
  /** The same of one half of a fitting that is made in two. */
  addSide(side: "right" | "left" | null, material: string | null, ...regions: readonly number[]): void;
}

/** A fault of a fitting where it stands. */
export interface FittingFault {
  readonly rule:
    | "notch-into-tang"
    | "notch-not-open"
    | "dowel-off-guard"
    | "dowel-in-tang"
    | "fitting-no-room"
    | "fitting-too-short"
    | "cheeks-thinner-middle";
  readonly at: Point;
  readonly measured: number;
  readonly limit: number;
}

/** A point of a fitting that is dragged on the side view: its fields follow x or y, each as per · (value − zero). */
export interface FittingPoint {
  readonly at: Point;
  readonly x?: Follows;
  readonly y?: Follows;
}

interface Follows {
  readonly field: string;
  readonly zero: number;
  readonly per: number;
  /** Whether it is the same on both sides of zero. */
  readonly either?: boolean;
}

/** A number of a fitting that follows a drag. */
export function followed({ zero, per, either }: Follows, to: number): number {
  const value = per * (to - zero);
  return either ? Math.abs(value) : value;
}

/**
 * All that is known of one kind of fitting on a guard. Another is another such module, a line in the registry, and its words
 * in words/fittings.
 */
export interface FittingKindOf<K extends string, F extends Fields, R = RecordOf<F>> {
  readonly kind: K;
  readonly fields: F;
  /**
   * Common sizes to begin from, of the guard's own material where it may be, suited to where it is fitted, if that is known.
   * Common practice, no source.
   */
  start(guardMaterial: string, place: Pick<FittingPlace, "guard" | "bladeMm"> | null): RecordOf<F>;
  /** Whether it takes its space before everything else, or what the guard and the handle leave. */
  readonly precedence: "first" | "last";
  readonly group: "guard" | "fasteners";
  build(f: R, site: FittingSite): void;
  faults(f: R, place: FittingPlace): readonly FittingFault[];
  points(f: R, place: FittingPlace): readonly FittingPoint[];
  /** Holes along the knife that it asks for, in the guard and in what stands behind it. */
  bores(f: R, place: FittingPlace): readonly LengthBore[];
  /** Stock that each half is cut from, of a fitting that is made in two beside each other; null of any other. */
  halfMm(f: R, place: FittingPlace): number | null;
  /** Minutes at the bench that it adds to fitting the guard, and whether it is a matter of the guard's own shape. */
  readonly minutes: number;
  readonly shapesGuard: boolean;
  /** How it shows from the side: by itself, inside other parts, or by what it takes away. */
  readonly seen: "outside" | "hidden" | "void";
}

type Optional = "faults" | "bores" | "halfMm" | "minutes" | "shapesGuard" | "group";

export function fittingKind<const K extends string, const F extends Fields>(
  spec: Omit<FittingKindOf<K, F>, Optional> & Partial<Pick<FittingKindOf<K, F>, Optional>>,
): FittingKindOf<K, F> {
  return {
    faults: () => [],
    bores: () => [],
    halfMm: () => null,
    minutes: 0,
    shapesGuard: false,
    group: "guard",
    ...spec,
  };
}
