import * as z from "zod";
import { entries, id } from "./fields";

const minutes = z.number().min(0).max(10_000);

/** What making the knife takes, where its maker says otherwise than is proposed. */
export const work = z.strictObject({
  /** Minutes of a task, by its code; a task that is not here takes what is proposed for it. */
  minutes: entries(z.string().min(1).max(60), minutes, 200),
  /** Whatever else it takes: time, and money in the maker's own currency. */
  others: z
    .array(
      z.strictObject({
        id,
        name: z.string().trim().min(1).max(80),
        minutes,
        money: z.number().min(0).max(1_000_000),
      }),
    )
    .max(20),
});

export type Work = z.infer<typeof work>;
