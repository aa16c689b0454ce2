import * as z from "zod/mini";
import { between, height, materialId, mm } from "./fields";

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

const grindHeight = { heightMm: mm(0.5, 200) };

const grind = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("full-flat") }),
  z.strictObject({ kind: z.literal("partial-flat"), ...grindHeight }),
  z.strictObject({ kind: z.literal("hollow"), ...grindHeight, wheelRadiusMm: mm(5, 2000) }),
  /** bulge 0 is flat, 1 a parabola that leaves the flat of the blade without a corner. */
  z.strictObject({ kind: z.literal("convex"), ...grindHeight, bulge: between(0, 1) }),
  z.strictObject({ kind: z.literal("single-bevel"), ...grindHeight, side: z.enum(["right", "left"]) }),
]);

/** Everything that is drawn of a blade. */
export const bladeShape = {
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
};
