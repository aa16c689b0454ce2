import * as z from "zod";

/** Kinds of value that every part of the design record is made of. Lengths are mm. */
export const mm = (low: number, high: number) => z.number().min(low).max(high);
export const id = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/, "an id is 1 to 40 letters, digits, - or _");
export const materialId = z.string().min(1).max(60);

/** Stations run from the butt (−) to the tip (+); heights from the edge (−) to the spine (+). */
export const station = mm(-600, 1200);
export const height = mm(-300, 300);
export const share = z.number().min(0.01).max(0.98);
export const roundness = z.number().min(0).max(1);

/** A record of so many entries at most: each name is of something there is, and there are not that many. */
export const entries = <K extends z.core.$ZodRecordKey, V extends z.ZodTypeAny>(
  key: K,
  value: V,
  most: number,
) =>
  z
    .record(key, value)
    .refine((record) => Object.keys(record).length <= most, `may have ${most} entries at most`);

/** What fills a hole; null is left empty. */
export const fill = materialId.nullable();

/** A printed part: its walls are solid, the rest is filled to a share. */
export const printed = z
  .strictObject({
    infillShare: z.number().min(0).max(1),
    /** Thickness of the solid wall: number of walls × width of one. */
    wallMm: mm(0, 20),
  })
  .nullable();

/** Where an imported mesh stands: which of its axes looks forward, and its front and middle in the knife's frame. */
export const meshPlace = z.strictObject({
  meshId: id,
  forward: z.enum(["x", "-x", "y", "-y", "z", "-z"]),
  /** Turn about the knife's axis. */
  rollDeg: z.number().min(-180).max(180),
  /** Middle of its height over the axis. */
  yMm: height,
});

export const variantName = z.string().trim().min(1).max(80);
