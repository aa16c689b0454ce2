import type { Wrap } from "@/core/knife/design/schema";

export const WRAP_KIND_WORDS: Record<Wrap["kind"], string> = {
  cord: "Cord, flattened",
  strip: "Flat strip or lace",
};

export const WRAP_ON_WORDS: Record<Wrap["on"], string> = {
  grip: "Along the grip",
  pommel: "The pommel's edge alone",
};

export const WRAP_PATTERN_WORDS: Record<Wrap["pattern"], string> = {
  single: "One strand, side by side",
  crossed: "Two strands that cross",
};
