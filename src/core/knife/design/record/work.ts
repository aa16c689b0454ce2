import * as z from "zod/mini";
import { between, entries, id, plainText, text } from "./fields";

const minutes = between(0, 10_000);

/** What making the knife takes, where its maker says otherwise than is proposed. */
export const work = z.strictObject({
  /** Minutes of a task, by its code; a task that is not here takes what is proposed for it. */
  minutes: entries(plainText(1, 60), minutes, 200),
  /** Whatever else it takes: time, and money in the maker's own currency. */
  others: z
    .array(
      z.strictObject({
        id,
        name: text(1, 80),
        minutes,
        money: between(0, 1_000_000),
      }),
    )
    .check(z.maxLength(20)),
});

export type Work = z.infer<typeof work>;
