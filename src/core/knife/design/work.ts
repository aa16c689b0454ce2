import type { Work } from "./record/work";

/** Nothing said otherwise, and nothing else. */
export function plainWork(): Work {
  return { minutes: {}, others: [] };
}
