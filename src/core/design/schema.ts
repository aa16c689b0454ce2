import * as z from "zod";

/** The version of the design record that this code writes. */
export const DESIGN_VERSION = 2;

const mm = (low: number, high: number) => z.number().min(low).max(high);
const id = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/, "an id is 1 to 40 letters, digits, - or _");
const materialId = z.string().min(1).max(60);

/** Stations run from the butt (−) to the tip (+); heights from the edge (−) to the spine (+). */
const station = mm(-600, 1200);
const height = mm(-300, 300);

export const TIP_STYLES = [
  "drop-point",
  "clip-point",
  "spear",
  "sheepsfoot",
  "straight-back",
  "trailing-point",
] as const;

const tip = z.strictObject({
  style: z.enum(TIP_STYLES),
  /** Height of the tip over the edge line, as a share of the heel height. */
  heightShare: z.number().min(0).max(1.5),
  /** Length before the tip over which the spine runs to it. */
  dropMm: mm(0, 1000),
  /** Length before the tip over which the edge rises to it. */
  bellyMm: mm(0, 1000),
});

const grindHeight = { heightMm: mm(0.5, 200) };

const grind = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("full-flat") }),
  z.strictObject({ kind: z.literal("partial-flat"), ...grindHeight }),
  z.strictObject({ kind: z.literal("hollow"), ...grindHeight, wheelRadiusMm: mm(5, 2000) }),
  /** bulge 0 is flat, 1 a parabola that leaves the flat of the blade without a corner. */
  z.strictObject({ kind: z.literal("convex"), ...grindHeight, bulge: z.number().min(0).max(1) }),
  z.strictObject({ kind: z.literal("single-bevel"), ...grindHeight, side: z.enum(["right", "left"]) }),
]);

const blade = z.strictObject({
  steel: materialId,
  lengthMm: mm(10, 1200),
  heelHeightMm: mm(3, 200),
  /** Height of the spine line over the handle's axis. */
  spineOverAxisMm: height,
  spineMm: mm(0.3, 25),
  /** Spine thickness where the distal taper ends, at the tip. */
  tipThicknessMm: mm(0.1, 25),
  /** Where the distal taper begins, from the datum. */
  taperFromMm: mm(0, 1200),
  ricassoMm: mm(0, 400),
  /** Height of the ricasso under the spine line; less than the heel height leaves a choil step. */
  ricassoHeightMm: mm(2, 200),
  edgeMm: mm(0, 5),
  tip,
  grind,
});

const tangHole = z.strictObject({
  id,
  xMm: station,
  yMm: height,
  diameterMm: mm(0.3, 60),
  /** What fills it; null is left empty. */
  fill: materialId.nullable(),
});

const fullTang = z.strictObject({
  kind: z.literal("full"),
  /** Thickness at the front and at the butt; null keeps the spine's thickness throughout. */
  taper: z.strictObject({ frontMm: mm(0.3, 25), buttMm: mm(0.3, 25) }).nullable(),
  holes: z.array(tangHole).max(60),
});

/** A stick in a hole of the handle: straight or tapered, of rectangular section, its middle at one height. */
const hiddenTang = z.strictObject({
  kind: z.literal("hidden"),
  /** From the datum; as long as the handle or longer goes through and ends flush. */
  lengthMm: mm(5, 600),
  /** Height over the axis of the tang's middle line. */
  yMm: height,
  frontHeightMm: mm(1, 100),
  endHeightMm: mm(1, 100),
  frontThicknessMm: mm(0.3, 25),
  endThicknessMm: mm(0.3, 25),
  hole: z.strictObject({
    /** Room round the tang, to every side. */
    clearanceMm: mm(0, 10),
    /** How much deeper than the tang it goes. */
    deeperMm: mm(0, 50),
    /** What fills it round the tang. */
    fill: materialId.nullable(),
  }),
});

const tang = z.discriminatedUnion("kind", [fullTang, hiddenTang]);

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
  /** Half thickness of the finished handle there, from the centre plane. */
  halfMm: mm(0.2, 80),
});

const scale = z.strictObject({ material: materialId, thicknessMm: mm(0.3, 80) });
const liner = z.strictObject({ material: materialId, thicknessMm: mm(0.05, 10) });

const handleShape = {
  /** From the front face at the spine side round the butt to the front face at the edge side. */
  outline: z.array(outlineNode).min(4).max(40),
  plan: z.array(planNode).min(2).max(20),
  roundness: z.number().min(0).max(1),
};

const scalesHandle = z.strictObject({
  kind: z.literal("scales"),
  ...handleShape,
  right: scale,
  left: scale,
  /** From the tang outward, the same on both sides. */
  liners: z.array(liner).max(3),
  frontBevel: z.strictObject({ lengthMm: mm(0.1, 60), angleDeg: z.number().min(5).max(85) }).nullable(),
});

export const PIECE_ROLES = ["ferrule", "spacer", "washer", "block", "butt-plate", "pommel"] as const;

const piece = z.strictObject({ id, role: z.enum(PIECE_ROLES), material: materialId, lengthMm: mm(0.1, 600) });

/** Pieces one behind the other along the tang; the last reaches to the butt whatever its length. */
const stackHandle = z.strictObject({
  kind: z.literal("stack"),
  ...handleShape,
  pieces: z.array(piece).min(1).max(40),
});

const handle = z.discriminatedUnion("kind", [scalesHandle, stackHandle]);

/** A plate across the tang, its front face on the datum. */
const guard = z.strictObject({
  material: materialId,
  thicknessMm: mm(0.3, 60),
  /** How far it stands over and under the axis. */
  aboveMm: mm(1, 150),
  belowMm: mm(1, 150),
  widthMm: mm(1, 120),
  /** 0 is a rectangle from the front, 1 an oval. */
  roundness: z.number().min(0).max(1),
});

const share = z.number().min(0.01).max(0.98);
const fastenerPlace = { id, xMm: station, yMm: height };

const fastener = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("pin"), ...fastenerPlace, diameterMm: mm(0.3, 40), material: materialId }),
  z.strictObject({
    kind: z.literal("patterned-pin"),
    ...fastenerPlace,
    diameterMm: mm(1, 40),
    tube: z.strictObject({ material: materialId, share }),
    rods: z.strictObject({ material: materialId, share }),
    /** Takes the rest of the area. */
    fill: materialId,
  }),
  z.strictObject({
    kind: z.literal("lanyard-tube"),
    ...fastenerPlace,
    diameterMm: mm(1, 40),
    boreMm: mm(0.3, 39),
    material: materialId,
  }),
]);

export const designSchema = z.strictObject({
  name: z.string().trim().min(1).max(80),
  notes: z.string().max(4000),
  blade,
  tang,
  handle,
  guard: guard.nullable(),
  fasteners: z.array(fastener).max(40),
});

/** A knife as its maker designs it: plain data, lengths in mm in the frame of docs/method.md. */
export type Design = Readonly<z.infer<typeof designSchema>>;
export type Blade = Design["blade"];
export type Grind = Blade["grind"];
export type TipStyle = (typeof TIP_STYLES)[number];
export type OutlineNode = Design["handle"]["outline"][number];
export type NodeRole = (typeof NODE_ROLES)[number];
export type PlanNode = Design["handle"]["plan"][number];
export type Fastener = Design["fasteners"][number];
export type FastenerKind = Fastener["kind"];
export type TangHole = z.infer<typeof tangHole>;
export type FullTang = z.infer<typeof fullTang>;
export type HiddenTang = z.infer<typeof hiddenTang>;
export type Handle = Design["handle"];
export type ScalesHandle = z.infer<typeof scalesHandle>;
export type StackHandle = z.infer<typeof stackHandle>;
export type Piece = z.infer<typeof piece>;
export type PieceRole = (typeof PIECE_ROLES)[number];
export type Guard = z.infer<typeof guard>;
