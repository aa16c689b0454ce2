import * as z from "zod/mini";
import { between, id, mm, plainText, text } from "../knife/design/record/fields";
import { SUPPLIES } from "./supplies";

const size = mm(0.05, 10_000);
const day = z.nullable(z.string().check(z.regex(/^\d{4}-\d{2}-\d{2}$/, "a day is year-month-day")));
const coordinate = mm(-5000, 5000);
const point = z.strictObject({ x: coordinate, y: coordinate });

/** Which way the grain, or the layers' length, runs in a piece; null of what has none, or where nobody knows. */
export const GRAIN_ALONG = ["length", "height", "thickness"] as const;
/** Whether a piece is for one side, or one of a matched pair. */
export const LOT_SIDES = ["right", "left", "pair"] as const;
/** Which face of a piece is meant to be seen, or lies on the tang. */
export const LOT_FACES = ["first-out", "first-in"] as const;

/** A round hole that is in a lot already. */
const hole = z.strictObject({ xMm: coordinate, yMm: coordinate, diameterMm: mm(0.1, 200) });
export type LotHole = Readonly<z.infer<typeof hole>>;

const piece = z.strictObject({
  form: z.literal("piece"),
  lengthMm: size,
  heightMm: size,
  thicknessMm: size,
  grain: z.nullable(z.enum(GRAIN_ALONG)),
  side: z.nullable(z.enum(LOT_SIDES)),
  face: z.nullable(z.enum(LOT_FACES)),
  /** Its outline from the side where it is no box, such as a blank or an odd block; from its lower left corner, mm. */
  outline: z.nullable(z.array(point).check(z.minLength(3), z.maxLength(500))),
  holes: z.array(hole).check(z.maxLength(60)),
});
const rod = z.strictObject({ form: z.literal("rod"), diameterMm: size, lengthMm: size });
/** What is measured out: millilitres, grams, metres or sheets, by what it is of. */
const amount = z.strictObject({ form: z.literal("amount"), amount: between(0, 1_000_000) });
/** What is counted: screws, belts, kits. */
const each = z.strictObject({
  form: z.literal("each"),
  /** The key that goes to the owner with a screw; empty of none. */
  key: plainText(0, 60),
});

/** Stock of the maker's own making: by what recipe, in which mould or press, how long it cured, what share of it serves. */
const batch = z.strictObject({
  kind: z.enum(["casting", "laminate", "stack"]),
  recipe: plainText(0, 1000),
  mould: plainText(0, 200),
  pressedBar: z.nullable(between(0, 1000)),
  cureH: z.nullable(between(0, 2000)),
  yieldShare: between(0.01, 1),
});

/** A piece, or a number of like pieces, of something on the shelf. */
export const lotRecord = z
  .strictObject({
    id,
    name: text(1, 60),
    /** What it is of: a material's id, hardware as a price names it ("each:cap-screw"), or a supply ("supply:acid"). */
    of: plainText(1, 60),
    shape: z.discriminatedUnion("form", [piece, rod, amount, each]),
    /** How many like pieces there are. */
    count: z.int().check(z.gte(0), z.lte(10_000)),
    /** One of them on the scale, how far the scale and the sizes may be off; null until it is weighed. */
    weighed: z.nullable(
      z.strictObject({ massG: between(0.01, 100_000), massOffG: between(0, 1000), sizeOffMm: mm(0, 20) }),
    ),
    /** Of one; null where nobody knows. */
    price: z.nullable(between(0, 1_000_000)),
    place: plainText(0, 80),
    note: plainText(0, 1000),
    picture: z.nullable(z.string().check(z.regex(/^[0-9a-f]{16}-[0-9]{1,9}$/))),
    boughtOn: day,
    openedOn: day,
    /** Glue, acid and oil get weak. */
    bestBefore: day,
    /** What it is is a guess: reclaimed steel, a wood by its look. Its density is taken wide, and coupons are tried first. */
    guessed: z.boolean(),
    batch: z.nullable(batch),
    /** The lot that it was cut off. */
    offcutOf: z.nullable(id),
  })
  .check(
    z.refine(
      ({ of, shape }) => (of.startsWith("each:") ? shape.form === "each" : true),
      "hardware is counted by the piece",
    ),
    z.refine(
      ({ of }) => !of.startsWith("supply:") || (SUPPLIES as readonly string[]).includes(of.slice(7)),
      "is no supply that there is",
    ),
  );
export type Lot = Readonly<z.infer<typeof lotRecord>>;
export type LotShape<F extends Lot["shape"]["form"]> = Extract<Lot["shape"], { form: F }>;
