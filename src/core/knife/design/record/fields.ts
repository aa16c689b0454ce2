import { en } from "zod/locales";
import * as z from "zod/mini";

// The validator's small build says nothing by itself of what is wrong.
z.config(en());

/** A number within limits. */
export const between = (low: number, high: number) => z.number().check(z.gte(low), z.lte(high));
/** Text of so many letters, as it stands. */
export const plainText = (least: number, most: number) =>
  z.string().check(z.minLength(least), z.maxLength(most));
/** The same, without the spaces round it. */
export const text = (least: number, most: number) =>
  z.string().check(z.trim(), z.minLength(least), z.maxLength(most));

/** Kinds of value that every part of the design record is made of. Lengths are mm. */
export const mm = between;
export const id = z
  .string()
  .check(z.regex(/^[A-Za-z0-9_-]{1,40}$/, "an id is 1 to 40 letters, digits, - or _"));
export const materialId = plainText(1, 60);

/** Stations run from the butt (−) to the tip (+); heights from the edge (−) to the spine (+). */
export const STATIONS = [-600, 1200] as const;
export const station = mm(...STATIONS);
export const height = mm(-300, 300);
export const share = between(0.01, 0.98);
export const roundness = between(0, 1);

/** A record of so many entries at most: each name is of something there is, and there are not that many. */
export const entries = <K extends z.core.$ZodRecordKey, V extends z.core.$ZodType>(
  key: K,
  value: V,
  most: number,
) =>
  z
    .record(key, value)
    .check(z.refine((record) => Object.keys(record).length <= most, `may have ${most} entries at most`));

/** From a lower to a higher number, both within limits. */
export const window = (least: number, most: number) =>
  z
    .strictObject({ low: between(least, most), high: between(least, most) })
    .check(z.refine(({ low, high }) => low <= high, "the lower end must not be above the higher one"));

/** What fills a hole; null is left empty. */
export const fill = z.nullable(materialId);

/** A printed part: its walls are solid, the rest is filled to a share. */
export const printed = z.nullable(
  z.strictObject({
    infillShare: between(0, 1),
    /** Thickness of the solid wall: number of walls × width of one. */
    wallMm: mm(0, 20),
  }),
);

/** Where an imported mesh stands: which of its axes looks forward, and its front and middle in the knife's frame. */
export const meshPlace = z.strictObject({
  meshId: id,
  forward: z.enum(["x", "-x", "y", "-y", "z", "-z"]),
  /** Turn about the knife's axis. */
  rollDeg: between(-180, 180),
  /** Middle of its height over the axis. */
  yMm: height,
});

export const variantName = text(1, 80);

/** A day, as year-month-day; null where it is not known. */
export const day = z.nullable(z.iso.date());
