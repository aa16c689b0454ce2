import type { Line } from "../../../geometry/solids/line";
import type { Region } from "../../../geometry/solids/region";
import type { Design } from "../../design/schema";
import type { AssemblyBuilder, Stretches } from "../../parts/builder";
import type { Report } from "../../parts/faults";
import type { Workpiece } from "../../parts/workpiece";
import type { Minutes } from "../../parts/workTasks";
import type { Layout } from "../../shapes/types";

export type Tang = Design["tang"];

/** What a tang is built in: what stands round it, stretch by stretch, the guard's plates, and the handle's body. */
export interface TangSite {
  readonly housings: Stretches;
  readonly plates: Stretches;
  readonly body: number;
}

/**
 * All that is known of one kind of tang. Another is another such module, a line in the registry, its record in
 * design/record/tang, its words, and its fields on the bench; a kind of handle says that it goes on it. Measures in mm.
 */
export interface TangKindOf<T extends Tang> {
  readonly kind: T["kind"];
  /** One to begin from, that keeps what it can of the tang that is there. */
  begin(design: Design): T;
  /** Half the thickness along x of what scales lie on: its own, or a frame's. */
  face(tang: T, blade: Pick<Design["blade"], "spineMm">, buttX: number): Line;
  /** The hole in what stands round it, in one or several regions. */
  holes(tang: T, frontX: number): readonly Region[];
  faults(tang: T, layout: Layout, report: Report): void;
  /** What stands in it and takes its place: holes, slots, screws, nuts. */
  buildInside(tang: T, b: AssemblyBuilder, site: TangSite): void;
  /** The tang itself, and what carries on behind it. */
  build(tang: T, b: AssemblyBuilder, site: TangSite): void;
  /** What fills the hole round it. */
  buildAround(tang: T, b: AssemblyBuilder, site: TangSite): void;
  /** What is sawn for it besides the blade's own blank. */
  pieces(tang: T, layout: Layout): Workpiece[];
  /** Pieces in its own plane that are put together while the glue is wet. */
  gluedParts(tang: T): number;
  /** Minutes at the bench by task, to begin from. */
  minutes(tang: T): Minutes;
}
