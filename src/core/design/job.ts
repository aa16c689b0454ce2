import type { Job } from "./record/job";

/** A knife that is planned, for nobody yet. */
export function plainJob(): Job {
  return { customer: "", state: "planned", begunOn: null, dueOn: null, finishedOn: null };
}
