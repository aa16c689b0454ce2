import * as z from "zod/mini";
import { FACET_COUNTS } from "../../../geometry/solids/section";
import { SHAPE_KINDS, type SizedShape, shapeKindOf } from "../../../kinds/pieceShapes/registry";
import { between, height, id, materialId, meshPlace, mm, printed, roundness, station } from "./fields";
import { shapeOf } from "./schemaOf";
import { texture } from "./texture";

export const NODE_ROLES = [
  "front-top",
  "back",
  "rear-top",
  "butt",
  "rear-bottom",
  "swell",
  "groove",
  "front-bottom",
  "free",
] as const;

const outlineNode = z.strictObject({
  id,
  role: z.enum(NODE_ROLES),
  xMm: station,
  yMm: height,
  corner: z.boolean(),
});

const planNode = z.strictObject({
  id,
  xMm: station,
  /** Half thickness of the finished handle there, from the centre plane to the right. */
  halfMm: mm(0.2, 80),
  /** The same to the left; null where both sides are alike. */
  leftHalfMm: z.nullable(mm(0.2, 80)),
  /** Section there: 0 is flat-sided, 1 an ellipse. */
  roundness,
});

/** The outer face of what it stands on; null where it is smooth. */
const face = z.nullable(texture);

const scale = z.strictObject({
  material: materialId,
  thicknessMm: mm(0.3, 80),
  face,
  /** What all of the side's scale weighs by itself, profiled and drilled, null until it is read; and how far that may be off. */
  weighed: z.nullable(z.strictObject({ massG: z.nullable(between(0.1, 3000)), offG: between(0.001, 100) })),
});
const liner = z.strictObject({ material: materialId, thicknessMm: mm(0.05, 10) });

/** From the front face at the spine side round the butt to the front face at the edge side. */
export const outline = z.array(outlineNode).check(z.minLength(4), z.maxLength(40));

/** Cord or a strip wound round the tang or the handle. */
const wrap = z.strictObject({
  /** Along the grip, or round the edge of the pommel alone; stations are of no account there. */
  on: z.enum(["grip", "pommel"]),
  kind: z.enum(["cord", "strip"]),
  material: materialId,
  /** As it lies, flattened: across its length, and out from what it lies on. */
  widthMm: mm(0.5, 60),
  thicknessMm: mm(0.1, 12),
  /** Along the handle from one turn to the next. */
  pitchMm: mm(0.3, 120),
  /** One strand side by side, or two that cross. */
  pattern: z.enum(["single", "crossed"]),
  fromMm: station,
  toMm: station,
});

/** A round groove across the face of the handle, straight up and down. */
const sideGroove = z.strictObject({
  id,
  xMm: station,
  diameterMm: mm(0.5, 200),
  depthMm: mm(0.05, 30),
  sides: z.enum(["both", "right", "left"]),
});

const handleShape = {
  outline,
  /** Whether what is changed under the axis is changed over it too, and the other way round. */
  symmetric: z.boolean(),
  /** The innermost first: where two lie at the same stations, the later lies on the earlier. */
  wraps: z.array(wrap).check(z.maxLength(3)),
  grooves: z.array(sideGroove).check(z.maxLength(12)),
  plan: z.array(planNode).check(z.minLength(2), z.maxLength(20)),
  /** Number of flats all round instead of a rounded section, or null. */
  facets: z.nullable(z.union(FACET_COUNTS.map((n) => z.literal(n)))),
  /** A hollow that a wheel leaves on both sides, its middle and its chord along the handle. */
  waist: z.nullable(z.strictObject({ xMm: station, chordMm: mm(1, 300), wheelRadiusMm: mm(5, 2000) })),
};

/** A metal block at one end of both scales, down to the tang. */
const bolster = z.strictObject({
  right: materialId,
  left: materialId,
  lengthMm: mm(0.5, 200),
  /** Lean of the joint with the scale, its top toward the front. */
  tiltDeg: between(-60, 60),
  /** Undercut that the scale tucks under. */
  dovetailDeg: between(0, 60),
  face,
});

/** A sheet in a joint, its thickness measured across it. */
const veneer = z.strictObject({ material: materialId, thicknessMm: mm(0.1, 30) });

/** Where one segment of the scales ends and the next begins, the same on both sides. */
const joint = z.strictObject({
  id,
  xMm: station,
  tiltDeg: between(-60, 60),
  /** Sheets between the segments, the foremost first. */
  dividers: z.array(veneer).check(z.maxLength(6)),
  /** Materials of the segments behind it. */
  right: materialId,
  left: materialId,
});

/** A point that a curve passes through, rounded or at a corner. */
const curvePoint = z.strictObject({ id, xMm: station, yMm: height, corner: z.boolean() });

/** A joint along the handle, of one material above it and another below: through these points, from front to rear. */
const lengthwise = z.strictObject({
  points: z.array(curvePoint).check(z.minLength(2), z.maxLength(12)),
  /** Below it: of both scales, or of the blocks. */
  material: materialId,
  /** A sheet in the joint, its thickness measured straight up. */
  divider: z.nullable(veneer),
});

/** A pair of metal halves on a full tang, at one end, of a shape of their own; where there is no tang they meet. */
const half = z.strictObject({
  id,
  end: z.enum(["front", "rear"]),
  right: materialId,
  left: materialId,
  shape: z.discriminatedUnion("kind", [
    z.strictObject({
      kind: z.literal("outline"),
      /** Round it, either way. */
      points: z.array(curvePoint).check(z.minLength(3), z.maxLength(30)),
      /** Of each, out from the tang's face. */
      thicknessMm: mm(0.3, 80),
    }),
    /** A shape for both together; its front stands at this station. */
    z.strictObject({ kind: z.literal("mesh"), xMm: station, place: meshPlace }),
  ]),
});

/** A plane that takes a corner off an end of both scales, from so far along the finished surface. */
const endBevel = z.nullable(z.strictObject({ lengthMm: mm(0.1, 60), angleDeg: between(5, 85) }));

const scalesHandle = z.strictObject({
  kind: z.literal("scales"),
  ...handleShape,
  right: scale,
  left: scale,
  /** From the tang outward, the same on both sides. */
  liners: z.array(liner).check(z.maxLength(3)),
  frontBevel: endBevel,
  /** Where liners and scales end ahead of the butt, and leave the tang bare behind them; null: they reach the butt. */
  rearEnd: z.nullable(
    z.strictObject({
      /** Bare tang, at the axis; of a hollowed edge, in the middle of its height. */
      bareMm: mm(0.5, 300),
      /** Lean of their edge, its top toward the front. */
      tiltDeg: between(-60, 60),
      /** Of the wheel that hollows their edge; null of a straight one. */
      wheelRadiusMm: z.nullable(mm(3, 1000)),
    }),
  ),
  rearBevel: endBevel,
  bolsters: z.strictObject({ front: z.nullable(bolster), rear: z.nullable(bolster) }),
  joints: z.array(joint).check(z.maxLength(8)),
  lengthwise: z.nullable(lengthwise),
  halves: z.array(half).check(z.maxLength(4)),
});

export const PIECE_ROLES = [
  "ferrule",
  "bolster",
  "spacer",
  "washer",
  "block",
  "butt-plate",
  "pommel",
] as const;

/** A piece's own outline where it does not follow the handle's: any kind in the registry, or an imported shape. */
const pieceShape = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("mesh"), place: meshPlace }),
  ...SHAPE_KINDS.map((kind) =>
    z.strictObject({ kind: z.literal(kind), ...shapeOf(shapeKindOf({ kind }).fields) }),
  ),
]) as unknown as z.ZodMiniType<PieceShape, PieceShape>;

const piece = z.strictObject({
  id,
  role: z.enum(PIECE_ROLES),
  material: materialId,
  /** Along the axis, before it is pressed. */
  lengthMm: mm(0.1, 600),
  /** Thickness of each disc that it is stacked of, before it is pressed; null of one piece. */
  discMm: z.nullable(mm(0.1, 60)),
  /** Share of its length that pulling up takes: leather, cork, bark. */
  pressedShare: between(0, 0.5),
  /** Lean of its rear joint, its top toward the front. */
  tiltDeg: between(-45, 45),
  /** Null follows the handle's outline and section. */
  shape: z.nullable(pieceShape),
  printed,
  /** All round; of a piece of the handle's outline alone. */
  face,
});

/** A ring for a finger, standing in the plane of the blade. */
const fingerRing = z.strictObject({
  id,
  xMm: station,
  yMm: height,
  boreMm: mm(5, 60),
  wallMm: mm(0.5, 30),
  widthMm: mm(0.5, 40),
  material: materialId,
});

/** Pieces one behind the other along the tang; the last that follows the outline takes what length is left. */
const stackHandle = z.strictObject({
  kind: z.literal("stack"),
  ...handleShape,
  pieces: z.array(piece).check(z.minLength(1), z.maxLength(40)),
  rings: z.array(fingerRing).check(z.maxLength(5)),
  lengthwise: z.nullable(lengthwise),
});

/** A full tang with nothing on it but what is wound round it. */
const bareHandle = z.strictObject({ kind: z.literal("bare"), ...handleShape });

export const handle = z.discriminatedUnion("kind", [scalesHandle, stackHandle, bareHandle]);

export type OutlineNode = z.infer<typeof outlineNode>;
export type NodeRole = (typeof NODE_ROLES)[number];
export type PlanNode = z.infer<typeof planNode>;
export type FacetCount = (typeof FACET_COUNTS)[number];
export type Bolster = z.infer<typeof bolster>;
export type ScaleJoint = z.infer<typeof joint>;
export type Veneer = z.infer<typeof veneer>;
export type CurvePoint = z.infer<typeof curvePoint>;
export type Lengthwise = z.infer<typeof lengthwise>;
export type Half = z.infer<typeof half>;
export type ScalesHandle = z.infer<typeof scalesHandle>;
export type BareHandle = z.infer<typeof bareHandle>;
export type Wrap = z.infer<typeof wrap>;
export type SideGroove = z.infer<typeof sideGroove>;
export type StackHandle = z.infer<typeof stackHandle>;
export type Piece = z.infer<typeof piece>;
export type PieceShape = SizedShape | { kind: "mesh"; place: z.infer<typeof meshPlace> };
export type PieceRole = (typeof PIECE_ROLES)[number];
export type FingerRing = z.infer<typeof fingerRing>;
