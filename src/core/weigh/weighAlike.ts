import type { Design } from "../design/schema";

/** What of a design says nothing of its parts. */
const NOT_WEIGHED: ReadonlySet<keyof Design> = new Set(["name", "notes", "job", "use", "locked"]);

/** Whether one weighing holds for both designs: they share all that is weighed, the very same records. */
export function weighAlike(a: Design, b: Design): boolean {
  return (Object.keys(a) as (keyof Design)[]).every((key) => NOT_WEIGHED.has(key) || a[key] === b[key]);
}
