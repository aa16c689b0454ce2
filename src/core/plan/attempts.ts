import * as z from "zod/mini";
import { between, id, plainText } from "../knife/design/record/fields";

/** By what the heat was judged. */
export const JUDGED_BY = ["thermometer", "colour", "magnet"] as const;
export const MEDIA = [
  "fast-oil",
  "medium-oil",
  "warm-oil",
  "canola",
  "water",
  "brine",
  "plates",
  "air",
] as const;
export const HARDNESS_TESTS = ["file", "coupon", "gauge"] as const;
/** What went wrong in the heat. */
export const HEAT_FAULTS = ["none", "too-soft", "warped", "cracked", "overheated", "burnt-tip"] as const;
/** What of a knife is hardened: each has attempts of its own. */
export const STEEL_PARTS = ["blade", "guard", "cap", "spring"] as const;

const celsius = between(-200, 1400);

/** One attempt at a heat treatment, as it really went. */
export const attempt = z.strictObject({
  id,
  part: z.enum(STEEL_PARTS),
  /** Milliseconds since 1970. */
  at: between(0, 8.64e15),
  /** Which of the shop's heat sources; empty of none that it names. */
  source: plainText(0, 60),
  judgedBy: z.enum(JUDGED_BY),
  hardenC: z.nullable(celsius),
  /** How far the thermometer may be off. */
  offC: z.nullable(between(0, 200)),
  soakMin: z.nullable(between(0, 600)),
  medium: z.enum(MEDIA),
  quenchS: z.nullable(between(0, 3600)),
  coldC: z.nullable(celsius),
  temper: z
    .array(z.strictObject({ atC: celsius, hours: between(0.05, 48), cooledBetween: z.boolean() }))
    .check(z.maxLength(8)),
  colourSeen: plainText(0, 60),
  test: z.nullable(
    z.strictObject({
      by: z.enum(HARDNESS_TESTS),
      /** Of a gauge or a coupon; null of a file. */
      hrc: z.nullable(between(0, 75)),
      skates: z.nullable(z.boolean()),
    }),
  ),
  bentBeforeMm: z.nullable(between(0, 100)),
  bentAfterMm: z.nullable(between(0, 100)),
  fault: z.enum(HEAT_FAULTS),
  note: plainText(0, 2000),
});
export type Attempt = Readonly<z.infer<typeof attempt>>;
