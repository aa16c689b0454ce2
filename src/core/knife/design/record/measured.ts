import * as z from "zod/mini";
import { bladeShape } from "./bladeShape";
import { fastener } from "./fastener";
import { between, day, height, mm, station } from "./fields";
import { guard } from "./guard";
import { handle, outline } from "./handle";
import { tang } from "./tang";

/** How the balance of what is in the hand was found. */
const measuredBalance = z.discriminatedUnion("kind", [
  /** Null: not found yet. */
  z.strictObject({ kind: z.literal("direct"), xMm: z.nullable(station) }),
  /** Resting on two edges, the scale under one of them. */
  z.strictObject({
    kind: z.literal("supports"),
    restAtMm: station,
    scaleAtMm: station,
    readingG: z.nullable(between(0, 10000)),
  }),
]);

const bladeThen = z.strictObject(bladeShape);

/** A blade with its tang, before it has a handle: as it was drawn when it was weighed. */
const bareBlade = z.strictObject({
  blade: bladeThen,
  tang,
  /** Of the handle, which a full tang has too. */
  outline,
  /** What was drilled through it then for pins and bolts. */
  bores: z
    .array(z.strictObject({ xMm: station, yMm: height, diameterMm: mm(0.1, 60) }))
    .check(z.maxLength(40)),
});

/** A finished knife as it was drawn when it was weighed. */
const finishedKnife = z.strictObject({
  blade: bladeThen,
  tang,
  handle,
  guard: z.nullable(guard),
  fasteners: z.array(fastener).check(z.maxLength(40)),
});

/** What of a finished knife is taken to be heavier or lighter than it is drawn. */
export const TAKES = ["blade", "guard", "handle"] as const;

/** What is in the hand, weighed and balanced. */
export const measured = z.strictObject({
  /** Null: not weighed yet, its drawing says what it weighs. */
  massG: z.nullable(between(0.5, 10000)),
  balance: measuredBalance,
  /** The day that it was weighed; null where that is not known. */
  onDay: day,
  /** How far the weight and the balance may be off. */
  massOffG: between(0, 1000),
  balanceOffMm: mm(0, 100),
  /** `asWeighed` null: it was weighed as it is drawn now; what is changed of the drawing describes it. */
  of: z.discriminatedUnion("kind", [
    z.strictObject({ kind: z.literal("blade"), asWeighed: z.nullable(bareBlade) }),
    z.strictObject({ kind: z.literal("knife"), asWeighed: z.nullable(finishedKnife), takes: z.enum(TAKES) }),
  ]),
});

export type Measured = z.infer<typeof measured>;
export type BareBlade = z.infer<typeof bareBlade>;
export type FinishedKnife = z.infer<typeof finishedKnife>;
export type Takes = (typeof TAKES)[number];
