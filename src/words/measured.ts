import type { Cut } from "@/core/knife/starts/starts";

/** What a knife is begun from. */
export const START_WORDS = {
  drawn: "Drawn here",
  blade: "Blade in the hand",
  knife: "Finished knife in the hand",
} as const;

/** What was cut into a blade before it was weighed. */
export const CUT_WORDS: Record<Cut, string> = {
  bores: "Holes for pins and bolts were in it",
  openings: "Other holes and slots were in it",
  recess: "The recess was in it",
  taper: "The tang's taper was in it",
};
