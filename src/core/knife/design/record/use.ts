import * as z from "zod/mini";
import { id, mm, STATIONS, station, text, window } from "./fields";

export const USES = [
  "kitchen-slicer",
  "paring",
  "hunting",
  "field",
  "chopper",
  "fighter",
  "fillet",
  "carving",
  "sword",
  "own",
] as const;

/** A window that a maker may leave open. */
const wish = (least: number, most: number) => z.nullable(window(least, most));

/** Where a hand may hold the knife, and how it should move there. */
export const grip = z.strictObject({
  id,
  name: text(1, 40),
  /** Where the index finger meets the handle: what the knife turns about in the hand. */
  xMm: station,
  /** What the wrist holds up with the knife level, N·mm; + is nose-heavy. */
  momentNmm: wish(-50_000, 50_000),
  /** Where a blow does not sting the hand, from the datum. */
  percussionMm: wish(-10_000, 10_000),
  /** How heavy the knife is there to be pushed across its length, g. */
  effectiveMassG: wish(0, 20_000),
});

/** What the knife is for, and what that asks of its weight and balance. */
export const use = z.strictObject({
  kind: z.enum(USES),
  /** Balance from the datum, + ahead. */
  balanceMm: window(...STATIONS),
  massG: window(1, 20000),
  /** Where the hand may hold it, the usual one first. */
  grips: z.array(grip).check(z.minLength(1), z.maxLength(6)),
  /** How far sizes of metal, and of what is shaped by hand, may be off: two standard deviations. */
  toleranceMm: mm(0, 5),
  shapingMm: mm(0, 10),
});

export type Use = z.infer<typeof use>;
export type Grip = z.infer<typeof grip>;
export type UseKind = (typeof USES)[number];
