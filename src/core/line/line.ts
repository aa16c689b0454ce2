import * as z from "zod/mini";
import { between, id, plainText, text } from "../knife/design/record/fields";
import { MOST_GRADES, PRICE_LIMITS } from "./limits";

const grade = z.strictObject({
  /** Id of the knife that is this grade's design. */
  knife: id,
  /** What it is to sell for, in the shop's own currency; null until its maker has said. */
  price: z.nullable(between(PRICE_LIMITS.min, PRICE_LIMITS.max)),
});
export type Grade = Readonly<z.infer<typeof grade>>;

/** One blank in several grades: knives that share blade, tang and holes, so that their handles interchange. */
export const lineRecord = z.strictObject({
  id,
  name: text(1, 60),
  grades: z.array(grade).check(
    z.maxLength(MOST_GRADES),
    z.refine((all) => new Set(all.map((g) => g.knife)).size === all.length, "a knife is there twice"),
  ),
  note: plainText(0, 1000),
});
export type Line = Readonly<z.infer<typeof lineRecord>>;
