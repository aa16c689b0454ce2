import * as z from "zod/mini";
import { LONGEST_ART, readArt } from "../../../geometry/contours/art";
import { between, height, id, mm, plainText, text } from "./fields";

/** Ways to put a mark on a blade. */
export const MARK_WAYS = ["stamped", "current", "acid"] as const;

/** A maker's mark, or what else is stamped or etched into one side of the blade. */
export const bladeMark = z.strictObject({
  id,
  side: z.enum(["right", "left"]),
  /** What it says, or shows; of a text it is made from, the text. */
  says: text(1, 80),
  madeFrom: z.enum(["text", "drawing"]),
  /** Its middle, ahead of the datum and below the spine there. */
  xMm: mm(0, 1200),
  downMm: height,
  heightMm: mm(0.5, 100),
  /** Counter-clockwise as it is read; at 0 it is read with the spine up. */
  turnedDeg: between(-180, 180),
  depthMm: mm(0.002, 2),
  way: z.enum(MARK_WAYS),
  /** Its filled outlines one high about its middle, as it is read: path data of straight runs, y up. */
  art: plainText(1, LONGEST_ART).check(
    z.refine((path) => readArt(path) !== null, "is no closed outlines, as M x y L x y … Z"),
  ),
});

export type BladeMark = z.infer<typeof bladeMark>;
