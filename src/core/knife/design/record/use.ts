import * as z from "zod/mini";
import { mm, STATIONS, station, window } from "./fields";

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

/** What the knife is for, and what that asks of its weight and balance. */
export const use = z.strictObject({
  kind: z.enum(USES),
  /** Balance from the datum, + ahead. */
  balanceMm: window(...STATIONS),
  massG: window(1, 20000),
  /** Where the index finger meets the handle: what the knife turns about in the hand. */
  gripMm: station,
  /** How far sizes of metal, and of what is shaped by hand, may be off: two standard deviations. */
  toleranceMm: mm(0, 5),
  shapingMm: mm(0, 10),
});

export type Use = z.infer<typeof use>;
export type UseKind = (typeof USES)[number];
