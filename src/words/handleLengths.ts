import type { HandleLength } from "@/core/knife/layout/handleLengths";

/** The lengths that shape the handle's outline. */
export const HANDLE_LENGTH_WORDS: Record<HandleLength, string> = {
  length: "Length",
  front: "Height at the front",
  groove: "Height at the groove",
  swell: "Height at the swell",
  butt: "Height at the butt",
};
