import { dayOf } from "../../base/day";
import type { Job } from "./record/job";

/** A knife that is planned, for nobody yet. */
export function plainJob(): Job {
  return { customer: "", state: "planned", begunOn: null, dueOn: null, finishedOn: null };
}

/** Today as the record has days, in the maker's own time. */
export const today = (): string => dayOf(Date.now());
