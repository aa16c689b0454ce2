import * as z from "zod/mini";
import { bolster, fuller, notch, ramp, swedge } from "./bladeCuts";
import { bladeMark } from "./bladeMark";
import { between, height, id, materialId, mm } from "./fields";
import { texture } from "./texture";

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
  heightShare: between(0, 1.5),
  /** Length before the tip over which the spine runs to it. */
  dropMm: mm(0, 1000),
  /** Length before the tip over which the edge rises to it. */
  bellyMm: mm(0, 1000),
});

/** Stations of the blade run from the datum to the tip. */
const ahead = mm(0, 1200);

const outlinePoint = z.strictObject({ id, xMm: ahead, yMm: height, corner: z.boolean() });

/**
 * An outline of its own: a curve through points from the shoulder to the tip along the spine, and one along the edge.
 * The shoulder's own two points and the tip's station follow from the blade's measures.
 */
const outline = z.strictObject({
  spine: z.array(outlinePoint).check(z.maxLength(30)),
  edge: z.array(outlinePoint).check(z.maxLength(30)),
  tipYMm: height,
});

const grindHeight = {
  heightMm: mm(0.5, 200),
  /** Heights of the face along the blade; with any of them the one height does not count. */
  along: z.array(z.strictObject({ id, xMm: ahead, heightMm: mm(0.2, 200) })).check(z.maxLength(12)),
  /** One angle to the middle plane, kept along the whole bevel as on a fixed rest: its height follows; null keeps heights. */
  angleDeg: z.nullable(between(0.5, 45)),
};
const wheel = { wheelRadiusMm: mm(5, 2000) };
/** Height of a double-edged blade's ridge over its edge, as a share of the blade's height there. */
const ridge = { ridgeShare: between(0.05, 0.95) };

/** Grinds that one side can have whatever the other has. */
const oneSide = [
  z.strictObject({ kind: z.literal("none") }),
  z.strictObject({ kind: z.literal("full-flat") }),
  z.strictObject({ kind: z.literal("partial-flat"), ...grindHeight }),
  z.strictObject({ kind: z.literal("hollow"), ...grindHeight, ...wheel }),
  /** bulge 0 is flat, 1 a parabola that leaves the flat of the blade without a corner. */
  z.strictObject({ kind: z.literal("convex"), ...grindHeight, bulge: between(0, 1) }),
  z.strictObject({ kind: z.literal("diamond"), ...ridge }),
  z.strictObject({ kind: z.literal("lens"), ...ridge }),
  z.strictObject({ kind: z.literal("double-hollow"), ...ridge, ...wheel }),
] as const;

const sideGrind = z.discriminatedUnion("kind", oneSide);

const grind = z.discriminatedUnion("kind", [
  ...oneSide,
  z.strictObject({ kind: z.literal("single-bevel"), ...grindHeight, side: z.enum(["right", "left"]) }),
]);

/** Everything that is drawn of a blade. */
export const bladeShape = {
  steel: materialId,
  lengthMm: mm(10, 1200),
  /** What a new length does: the front third keeps its shape and moves along, or the whole is stretched. */
  lengthChange: z.enum(["keeps-tip", "stretches"]),
  heelHeightMm: mm(3, 200),
  /** Height of the spine over the handle's axis, at the shoulder. */
  spineOverAxisMm: height,
  /** Angle between the blade and the handle's axis, + with the tip up. */
  riseDeg: between(-20, 20),
  spineMm: mm(0.3, 25),
  /** Spine thickness where the distal taper ends, at the tip. */
  tipThicknessMm: mm(0.1, 25),
  /** Where the distal taper begins, from the datum. */
  taperFromMm: ahead,
  /** Thicknesses at the spine between where the taper begins and the tip. */
  taper: z.array(z.strictObject({ id, xMm: ahead, thicknessMm: mm(0.1, 25) })).check(z.maxLength(12)),
  ricassoMm: mm(0, 400),
  /** Height of the ricasso under the spine line; less than the heel height leaves a choil step. */
  ricassoHeightMm: mm(2, 200),
  edgeMm: mm(0, 5),
  tip,
  /** Null for the outline of the tip's style. */
  outline: z.nullable(outline),
  grind,
  /** Of the left side where it is ground otherwise; null where both sides are alike. */
  leftGrind: z.nullable(sideGrind),
  /** Where the ground face begins: how far its line leans to the tip on its way up, and the radius left there. */
  plunge: z.strictObject({ sweepDeg: between(-60, 60), radiusMm: mm(0, 100) }),
  swedge: z.nullable(swedge),
  fullers: z.array(fuller).check(z.maxLength(4)),
  /** Angle of the secondary bevel on each side; null before sharpening. */
  sharpenedDeg: z.nullable(between(5, 45)),
  notches: z.array(notch).check(z.maxLength(4)),
  ramp: z.nullable(ramp),
  bolster: z.nullable(bolster),
  marks: z.array(bladeMark).check(z.maxLength(4)),
  /** Its flats, on both sides, where they are not ground; null where they are smooth. */
  face: z.nullable(texture),
};

export type BladeOutline = z.infer<typeof outline>;
export type OutlinePoint = z.infer<typeof outlinePoint>;
export type SideGrind = z.infer<typeof sideGrind>;
