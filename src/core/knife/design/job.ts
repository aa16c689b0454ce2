import type { Job } from "./record/job";

/** A knife that is planned, for nobody yet. */
export function plainJob(): Job {
  return { customer: "", state: "planned", begunOn: null, dueOn: null, finishedOn: null };
}

/** Today as the record has days, in the maker's own time. */
export function today(): string {
  const now = new Date();
  const two = (n: number) => String(n).padStart(2, "0");
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
