import * as z from "zod/mini";
import type { ProductDesign } from "./product";
import { blade } from "./record/blade";
import { TIP_STYLES } from "./record/bladeShape";
import { fastener } from "./record/fastener";
import { entries, id, plainText, text } from "./record/fields";
import { fitUp } from "./record/fitUp";
import { guard } from "./record/guard";
import { handle } from "./record/handle";
import { job } from "./record/job";
import { ownMaterials } from "./record/material";
import { tang } from "./record/tang";
import { use } from "./record/use";
import { work } from "./record/work";
import { carriedWorkshop } from "./record/workshop";

/** An imported shape: a closed mesh in mm, its numbers as little-endian bytes in base 64. */
const mesh = z.strictObject({
  id,
  name: plainText(1, 120),
  /** 32-bit floats: x, y, z of each vertex. */
  vertices: z.base64().check(z.maxLength(2_000_000)),
  /** 32-bit unsigned integers: three vertex numbers a triangle. */
  triangles: z.base64().check(z.maxLength(4_000_000)),
});

export const designSchema = z.strictObject({
  /** Which product it is a design of. */
  kind: z.literal("fixed"),
  name: text(1, 80),
  notes: plainText(0, 4000),
  job,
  blade,
  tang,
  handle,
  guard: z.nullable(guard),
  fasteners: z.array(fastener).check(z.maxLength(40)),
  meshes: z.array(mesh).check(z.maxLength(6)),
  /** The maker's own materials that the knife is made of. */
  materials: ownMaterials,
  /** The shop that it is made in, as it says and as the knife says otherwise. */
  workshop: carriedWorkshop,
  fitUp,
  use,
  work,
  /** Values that fixes, levers and the solver leave alone: dotted paths, items of lists by their ids. */
  locked: z.array(plainText(1, 120)).check(z.maxLength(200)),
  /** What the maker calls pins, holes, plates and pieces, by the same kind of path. */
  names: entries(plainText(1, 120), text(1, 40), 200),
});

/** A knife with a fixed blade as its maker designs it: plain data, lengths in mm in the frame of docs/method.md. */
export type Design = Readonly<z.infer<typeof designSchema>>;
/** Whether a product's design is that of a knife with a fixed blade. */
export const isFixed = (design: ProductDesign): design is Design => design.kind === "fixed";
/** Those that are of knives with fixed blades. */
export const onlyFixed = <R extends { readonly design: ProductDesign }>(all: readonly R[]) =>
  all.filter((r): r is R & { readonly design: Design } => isFixed(r.design));
export type Blade = Design["blade"];
/** A blade as it is drawn, whether or not it was measured. */
export type DrawnBlade = Omit<Blade, "measured">;
export type Grind = Blade["grind"];
export type TipStyle = (typeof TIP_STYLES)[number];
export type Handle = Design["handle"];
export type StoredMesh = z.infer<typeof mesh>;

export { FACET_COUNTS } from "../../geometry/solids/section";
export type { Fastener, FastenerKind } from "../../kinds/fasteners/registry";
export type { BarEnd, BarEndKind } from "../../kinds/tangEnds/registry";
export type { BladeNotch, Fuller, IntegralBolster, Ramp, Swedge } from "./record/bladeCuts";
export type { BladeMark } from "./record/bladeMark";
export type { BladeOutline, OutlinePoint, SideGrind } from "./record/bladeShape";
export type { FitUp, PinFit, StockPiece } from "./record/fitUp";
export { PIN_FITS } from "./record/fitUp";
export type { Guard } from "./record/guard";
export type {
  BareHandle,
  Bolster,
  CurvePoint,
  FacetCount,
  FingerRing,
  Half,
  Lengthwise,
  NodeRole,
  OutlineNode,
  Piece,
  PieceRole,
  PieceShape,
  PlanNode,
  ScaleJoint,
  ScalesHandle,
  SideGroove,
  StackHandle,
  Veneer,
  Wrap,
} from "./record/handle";
export { NODE_ROLES, PIECE_ROLES } from "./record/handle";
export type { Job, KnifeState } from "./record/job";
export { KNIFE_STATES } from "./record/job";
export type { BareBlade, FinishedKnife, Measured, Takes } from "./record/measured";
export { TAKES } from "./record/measured";
export type {
  Bar,
  BlockHole,
  FramedTang,
  FullTang,
  HiddenTang,
  TangHole,
  TangSlot,
} from "./record/tang";
export { HOLE_PURPOSES } from "./record/tang";
export type { Texture, TextureKind } from "./record/texture";
export type { Grip, Use, UseKind } from "./record/use";
export { USES } from "./record/use";
export type { Work } from "./record/work";
export type { CarriedWorkshop, WorkshopFacts } from "./record/workshop";
export { DRILL_SETS, type DrillSet, WORKSHOP_PARTS, type WorkshopPart } from "./workshopParts";
export { TIP_STYLES };
