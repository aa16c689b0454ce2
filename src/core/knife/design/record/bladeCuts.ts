import * as z from "zod/mini";
import { between, height, id, mm } from "./fields";

const ahead = mm(0, 1200);
const sides = z.enum(["both", "right", "left"]);

/** A false edge: a bevel along the front part of the spine. */
export const swedge = z.strictObject({
  /** Length from the tip back, and that over which it grows to its height. */
  lengthMm: mm(1, 1200),
  runOutMm: mm(0, 400),
  heightMm: mm(0.2, 100),
  /** Thickness left at the spine. */
  leavesMm: mm(0, 25),
  sides,
});

/** A groove along the blade. */
export const fuller = z.strictObject({
  id,
  sides,
  /** Where it begins and ends, its run-outs among them. */
  fromMm: ahead,
  toMm: ahead,
  /** What its middle is measured down from: the spine, or the ridge or the middle of the blade's height. */
  from: z.enum(["spine", "middle"]),
  downMm: height,
  /** Of the wheel or ball across the groove. */
  radiusMm: mm(0.5, 500),
  depthMm: mm(0.05, 12),
  /** A ball runs out on its own radius; a wheel on that which it has along the blade. */
  tool: z.discriminatedUnion("kind", [
    z.strictObject({ kind: z.literal("ball") }),
    z.strictObject({ kind: z.literal("wheel"), runOutRadiusMm: mm(1, 2000) }),
  ]),
});

/** A round cut into the edge: where sharpening ends, or for a finger. */
export const notch = z.strictObject({
  id,
  purpose: z.enum(["sharpening", "finger"]),
  xMm: ahead,
  radiusMm: mm(0.5, 60),
  /** How far over the edge there it reaches. */
  depthMm: mm(0.5, 60),
});

/** What rises over the spine under the thumb: in a curve to its crest, and straight down ahead of it. */
export const ramp = z.strictObject({ fromMm: ahead, lengthMm: mm(1, 200), riseMm: mm(0.2, 40) });

/** A block of the blade's own steel ahead of the handle. */
export const bolster = z.strictObject({
  lengthMm: mm(1, 200),
  aboveMm: mm(1, 150),
  belowMm: mm(1, 150),
  widthMm: mm(1, 120),
  /** Width where it has run into the blade. */
  frontWidthMm: mm(0.5, 120),
  roundness: between(0, 1),
});

export type Swedge = z.infer<typeof swedge>;
export type Fuller = z.infer<typeof fuller>;
export type BladeNotch = z.infer<typeof notch>;
export type Ramp = z.infer<typeof ramp>;
export type IntegralBolster = z.infer<typeof bolster>;
