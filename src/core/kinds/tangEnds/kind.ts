import { misfitOf } from "../../base/fits";
import type { Fields, RecordOf } from "../../base/record/fields";
import type { Thread } from "../../base/units/threads";
import type { Point } from "../../geometry/curve/bezier";
import type { Region } from "../../geometry/solids/region";
import type { LengthBore, Share } from "../fasteners/kind";

export type EndRecord<K extends string, F extends Fields> = { kind: K } & RecordOf<F>;

/** What a hidden tang ends in is fitted to. Stations and sizes in mm. */
export interface EndPlace {
  /** Station of the butt at the tang's height, and how far behind the front the handle reaches. */
  readonly buttX: number;
  readonly reachMm: number;
  /** Station of the bar's end; middle of its height over the axis; half its size there. */
  readonly endX: number;
  readonly yMm: number;
  readonly halfHeightMm: number;
  readonly halfThicknessMm: number;
  /** The bar's thinner side at its end. */
  readonly endAcrossMm: number;
  readonly steel: string;
}

/** What of an end is weighed, or left empty, by itself. */
export type EndComponent = "nut" | "stud" | "cap" | "screw" | "socket" | "counterbore" | "bore";

/** Where an end is built. */
export interface EndSite extends EndPlace {
  /** Adds to the tang itself; a part with a `detail` is one of its details that drawings show. */
  addToTang(region: Region, detail?: "peened-head"): void;
  /** Adds a component; of no material it is a void. */
  add(component: EndComponent, materials: readonly Share[], region: Region): void;
  /** A void of that radius about the tang's middle line, in the handle alone, between two stations. */
  hollow(component: EndComponent, rearX: number, seatX: number, radiusMm: number): void;
}

/** A fault of an end where it stands. */
export interface EndFault {
  readonly rule:
    | "end-sizes"
    | "thread-too-short"
    | "screw-wider-than-tang"
    | "screw-misses-tang"
    | "lap-too-short";
  readonly severity: "error" | "warning";
  readonly at: Point;
  readonly measured: number;
  readonly limit: number;
}

/** A point of an end that is dragged on the side view: its field follows x, as per · (x − zero). */
export interface EndPoint {
  readonly id: string;
  readonly at: Point;
  readonly field: string;
  readonly zero: number;
  readonly per: 1 | -1;
}

/** A thread that has to hold: what it is cut into, and the field that gives it more length. */
export interface EndThread {
  readonly at: Point;
  readonly engagedMm: number;
  readonly diameterMm: number;
  readonly threadIn: string;
  /** Whether it is a nut of standard height, which is as strong as its rod. */
  readonly nut?: boolean;
  readonly field: string;
}

/**
 * All that is known of one kind of end of a hidden tang. Another is another such module, a line in the registry, and its
 * words in words/tangEnds.
 */
export interface TangEndKindOf<K extends string, F extends Fields, R = EndRecord<K, F>> {
  readonly kind: K;
  readonly fields: F;
  /** Common sizes to begin from. Common practice, no source. */
  start(steel: string): RecordOf<F>;
  /** Length of bar that it asks for in a handle that reaches so far, mm; null leaves it as it is. */
  barLengthMm(reachMm: number): number | null;
  /** What takes its space before the tang does. */
  build(e: R, site: EndSite): void;
  /** What the tang runs out into behind itself. */
  buildBehind(e: R, site: EndSite): void;
  faults(e: R, place: EndPlace): readonly EndFault[];
  points(e: R, place: EndPlace): readonly EndPoint[];
  /** Holes along the knife that it asks for: in the tang's end, and in what stands behind it. */
  bores(e: R, place: EndPlace): readonly LengthBore[];
  thread(e: R, place: EndPlace): EndThread | null;
  /** Its own sizes that belong to a thread, by their dotted fields, mm; null where it has no thread to choose. */
  threadSizes(e: R, thread: Thread): Readonly<Record<string, number>> | null;
  /** What is bought for it, and what its bores and its thread are named by. */
  readonly hardware: "butt-nut" | "butt-screw" | null;
  /** Rod that is cut for it, mm; null where none is. */
  rodStock(
    e: R,
  ): { readonly material: string; readonly diameterMm: number; readonly lengthMm: number } | null;
  /** What of it is sawn from a block, and what of. */
  sawn(e: R): { readonly component: EndComponent; readonly material: string } | null;
  /** Minutes at the bench that it adds. */
  readonly minutes: number;
  /** Whether the hole is open to the butt. */
  readonly through: boolean;
  /** Whether something is cut into the steel that cannot be cut after hardening. */
  readonly beforeHardening: boolean;
  /** Whether it is hammered over, which asks for something hard under it. */
  readonly peened: boolean;
  /** Whether it is made to be taken apart again. */
  readonly comesApart: boolean;
  /** Whether glue alone holds it. */
  readonly glueOnly: boolean;
  /** Diameter of the rod that runs on behind the bar; null where none does. A rod of the tang itself goes through the guard. */
  rod(e: R): { readonly diameterMm: number; readonly ofTang: boolean } | null;
  /** Whether what is behind the butt of it lies inside the handle. */
  letIn(e: R): boolean;
}

type Optional = Exclude<keyof TangEndKindOf<string, Fields>, "kind" | "fields" | "start">;

/** Completes a kind: what it does not tell is as of a tang that is glued in. */
export function tangEndKind<const K extends string, const F extends Fields>(
  spec: Pick<TangEndKindOf<K, F>, "kind" | "fields" | "start"> & Partial<Pick<TangEndKindOf<K, F>, Optional>>,
): TangEndKindOf<K, F> {
  return {
    barLengthMm: () => null,
    build: () => undefined,
    buildBehind: () => undefined,
    faults: () => [],
    points: () => [],
    bores: () => [],
    thread: () => null,
    threadSizes: () => null,
    hardware: null,
    rodStock: () => null,
    sawn: () => null,
    minutes: 0,
    through: true,
    beforeHardening: false,
    peened: false,
    comesApart: false,
    glueOnly: false,
    rod: () => null,
    letIn: () => false,
    ...spec,
  };
}

/** A counterbore is begun so far behind the butt, mm. */
export const BEHIND_BUTT_MM = 5;

/** The fault of a size that is not below the one that it goes into, or none. */
export function sizesFault(
  pairs: readonly (readonly [number, number])[],
  { buttX, yMm }: EndPlace,
): EndFault[] {
  const misfit = misfitOf(pairs);
  if (!misfit) return [];
  const { small: measured, large: limit, isOver } = misfit;
  const severity = isOver ? "error" : "warning";
  return [{ rule: "end-sizes", severity, at: { x: buttX, y: yMm }, measured, limit }];
}
