import type { KnifeState } from "@/core/knife/design/schema";

/** How far a knife has come. */
export const STATE_WORDS: Record<KnifeState, string> = {
  planned: "Planned",
  "in-work": "In work",
  finished: "Finished",
  gone: "Handed over",
};

/** A day as it is read, "18 Dec 2026"; as it stands where it is none. */
export function dayWords(day: string): string {
  const at = new Date(`${day}T12:00:00`);
  return Number.isNaN(at.getTime())
    ? day
    : at.toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric" });
}
