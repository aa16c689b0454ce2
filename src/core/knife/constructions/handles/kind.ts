import type { Point } from "../../../geometry/curve/bezier";
import { type Loft, loftRegion } from "../../../geometry/solids/loft";
import type { Region } from "../../../geometry/solids/region";
import type { MaterialOf } from "../../../materials/types";
import type { BareHandle, Design, Handle, Piece } from "../../design/schema";
import type { AssemblyBuilder, Stretches } from "../../parts/builder";
import type { Cell } from "../../parts/cells";
import type { Report } from "../../parts/faults";
import type { MaterialPlace } from "../../parts/materialPlace";
import type { Workpiece } from "../../parts/workpiece";
import type { Minutes } from "../../parts/workTasks";
import type { HandleForm } from "../../shapes/handleBody";
import type { Layout } from "../../shapes/types";

/** Areas that are glued face to face, mm², by the kind of joint. */
export type GluedAreas = Record<"faces" | "segments" | "plates" | "pieces", number>;

/** Moves what stands along the handle: each keeps its share of the way to the butt. */
export type Along = <T extends { readonly xMm: number }>(items: readonly T[]) => T[];

/** What the parts of a handle are built in: the handle's body, by its number, and its pieces of a shape of their own. */
export interface HandleSite {
  readonly body: number;
  readonly shaped: readonly { readonly piece: Piece; readonly stretches: Stretches }[];
}

/** What every kind of handle has. */
export type HandleShape = Omit<BareHandle, "kind">;

/**
 * All that is known of one kind of handle. Another is another such module, a line in the registry, its record in
 * design/record/handle, and its fields on the bench. Measures in mm and mm².
 */
export interface HandleKindOf<H extends Handle> {
  readonly kind: H["kind"];
  /** The tangs that it goes on, and what is said where it stands on another. */
  readonly tangs: readonly Design["tang"]["kind"][];
  readonly apart: "tang-and-handle-apart" | "bare-needs-full-tang";
  /** One of an outline, thickness and section that are there, of a material. */
  begin(shape: HandleShape, material: string): H;
  /** The material that most of it is of, and those that a hand holds; the steel is the blade's. */
  mainMaterial(handle: H): string;
  gripMaterials(handle: H, steel: string): readonly string[];
  /** The material at a place, the first where there are several; null where it has no such place. */
  materialAt(handle: H, place: MaterialPlace): string | null;
  withMaterial(handle: H, place: MaterialPlace, material: string, materialOf: MaterialOf): H;
  /** The same with what it has along it moved. */
  moved(handle: H, along: Along): H;
  /** What it is lofted from between two stations, and the solid of that. */
  loft(handle: H, form: HandleForm, xRange: readonly [number, number]): Loft;
  body(handle: H, form: HandleForm, xRange: readonly [number, number]): Region;
  /** What cannot be built; `edge` is its outline as chords. */
  faults(handle: H, layout: Layout, edge: readonly Point[], report: Report): void;
  build(handle: H, b: AssemblyBuilder, site: HandleSite): void;
  /** What shows from the right side, front to back. */
  cells(handle: H, layout: Layout): Cell[];
  /** What is sawn for it. */
  pieces(handle: H, layout: Layout): Workpiece[];
  /** Adds the faces that are glued, and says how many pieces are put together while the glue is wet. */
  glue(handle: H, layout: Layout, areas: GluedAreas): void;
  gluedParts(handle: H): number;
  /** Minutes at the bench by task, to begin from. */
  minutes(handle: H): Minutes;
  /** Its parts as they are referred to, without what is set into it. */
  partRefs(handle: H): readonly string[];
}

/** A kind whose body is what its loft makes. */
export function handleKind<H extends Handle>(
  spec: Omit<HandleKindOf<H>, "body"> & Partial<Pick<HandleKindOf<H>, "body">>,
): HandleKindOf<H> {
  return { body: (handle, form, xRange) => loftRegion(spec.loft(handle, form, xRange)), ...spec };
}

/** The points of a curve, or nothing, moved along the handle. */
export const movedPoints = <T extends { readonly points: readonly { readonly xMm: number }[] }>(
  of: T | null,
  along: Along,
): T | null => of && { ...of, points: along(of.points) as T["points"] };
