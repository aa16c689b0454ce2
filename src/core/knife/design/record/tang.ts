import * as z from "zod/mini";
import { BAR_END_KINDS, type BarEnd, endKindOf } from "../../../kinds/tangEnds/registry";
import { between, fill, height, id, materialId, mm, station } from "./fields";
import { shapeOf } from "./schemaOf";

export const HOLE_PURPOSES = ["lighten", "key", "old-pin"] as const;

const tangHole = z.strictObject({
  id,
  xMm: station,
  yMm: height,
  diameterMm: mm(0.3, 60),
  fill,
  /** To lighten the tang, to key the adhesive, or an old pin's that a new handle does not use. */
  purpose: z.enum(HOLE_PURPOSES),
});

/** A slot with round ends through the tang; its middle, and its turn from the axis, up toward the front. */
const tangSlot = z.strictObject({
  id,
  xMm: station,
  yMm: height,
  lengthMm: mm(0.5, 300),
  widthMm: mm(0.3, 60),
  angleDeg: between(-90, 90),
  fill,
});

/** A hollow in both faces of a tang, inside a rim of full thickness. */
const recess = z.strictObject({
  rimMm: mm(0.5, 50),
  /** Where it begins behind the front. */
  fromMm: mm(0, 600),
  depthMm: mm(0.05, 12),
  /** A flat floor, or one hollowed across, deepest in the middle. */
  floor: z.enum(["flat", "hollow"]),
  fill,
});

/** A tang that ends early, and what carries on in its plane to the butt: a filler, or a piece welded on. */
const short = z.strictObject({
  lengthMm: mm(5, 600),
  behind: z.enum(["filler", "weld"]),
  material: materialId,
});

const fullTang = z.strictObject({
  kind: z.literal("full"),
  /** Thickness at the front and at the butt; null keeps the spine's thickness throughout. */
  taper: z.nullable(z.strictObject({ frontMm: mm(0.3, 25), buttMm: mm(0.3, 25) })),
  holes: z.array(tangHole).check(z.maxLength(60)),
  slots: z.array(tangSlot).check(z.maxLength(20)),
  recess: z.nullable(recess),
  short: z.nullable(short),
});

/** A stick of rectangular to round section, straight or tapered, its middle at one height. */
const bar = {
  /** From the datum; as long as the handle or longer goes through. */
  lengthMm: mm(5, 600),
  /** Height over the axis of the middle line. */
  yMm: height,
  frontHeightMm: mm(1, 100),
  endHeightMm: mm(1, 100),
  frontThicknessMm: mm(0.3, 25),
  endThicknessMm: mm(0.3, 25),
  /** Radius of the section's corners; half the thickness or more is round. */
  frontCornerMm: mm(0, 50),
  endCornerMm: mm(0, 50),
  /** Radius of the inside corners at the shoulder. */
  shoulderRadiusMm: mm(0, 15),
};

/** The tang's shape with room all round. */
const room = { clearanceMm: mm(0, 10), deeperMm: mm(0, 50), fill };

/** One bit's work: a hole, or a row of them across the height. */
const drilling = z.strictObject({
  bitMm: mm(0.5, 60),
  count: z.int().check(z.gte(1), z.lte(12)),
  pitchMm: mm(0, 60),
  depthMm: mm(0.5, 600),
});

const blockHole = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("broached"), ...room }),
  z.strictObject({ kind: z.literal("burned"), ...room }),
  z.strictObject({
    kind: z.literal("milled"),
    heightMm: mm(0.5, 100),
    /** Width of the slot across the knife; its ends are as round as the cutter. */
    widthMm: mm(0.5, 60),
    cutterMm: mm(0.3, 60),
    depthMm: mm(0.5, 600),
    fill,
  }),
  /** Depths run from the handle's front; a later stage may be deeper and narrower. */
  z.strictObject({
    kind: z.literal("drilled"),
    stages: z.array(drilling).check(z.minLength(1), z.maxLength(4)),
    fill,
  }),
]);

const [plainEnd, ...otherEnds] = BAR_END_KINDS.map((kind) =>
  z.strictObject({ kind: z.literal(kind), ...shapeOf(endKindOf({ kind }).fields) }),
);

/** An end of any kind in the registry. */
const barEnd = z.discriminatedUnion("kind", [plainEnd, ...otherEnds]) as unknown as z.ZodMiniType<
  BarEnd,
  BarEnd
>;

const hiddenTang = z.strictObject({ kind: z.literal("hidden"), ...bar, hole: blockHole, end: barEnd });

/** A stick let into a frame of the handle's outline, between two scales. */
const framedTang = z.strictObject({
  kind: z.literal("framed"),
  ...bar,
  frame: z.strictObject({ material: materialId, thicknessMm: mm(0.3, 40) }),
  hole: z.strictObject(room),
});

export const tang = z.discriminatedUnion("kind", [fullTang, hiddenTang, framedTang]);

export type TangHole = z.infer<typeof tangHole>;
export type TangSlot = z.infer<typeof tangSlot>;
export type FullTang = z.infer<typeof fullTang>;
export type HiddenTang = z.infer<typeof hiddenTang>;
export type FramedTang = z.infer<typeof framedTang>;
/** What hidden and framed tangs have in common. */
export type Bar = Omit<HiddenTang, "kind" | "hole" | "end">;
export type BlockHole = z.infer<typeof blockHole>;
