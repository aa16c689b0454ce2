import * as z from "zod/mini";
import { day, plainText } from "./fields";

/** How far a knife has come. */
export const KNIFE_STATES = ["planned", "in-work", "finished", "gone"] as const;

/** For whom a knife is made, how far it has come, and its days, as year-month-day. */
export const job = z.strictObject({
  customer: plainText(0, 120),
  state: z.enum(KNIFE_STATES),
  begunOn: day,
  dueOn: day,
  finishedOn: day,
});

export type Job = z.infer<typeof job>;
export type KnifeState = Job["state"];
