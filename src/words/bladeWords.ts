import type { Grind, NodeRole, TipStyle } from "@/core/knife/design/schema";

export const NODE_WORDS: Record<NodeRole, string> = {
  "front-top": "Front, spine side",
  back: "Back",
  "rear-top": "Butt, upper",
  butt: "Butt",
  "rear-bottom": "Butt, lower",
  swell: "Swell",
  groove: "Finger groove",
  "front-bottom": "Front, edge side",
  free: "Point",
};

export const TIP_WORDS: Record<TipStyle, string> = {
  "drop-point": "Drop point",
  "clip-point": "Clip point",
  spear: "Spear",
  sheepsfoot: "Sheepsfoot",
  "straight-back": "Straight back",
  "trailing-point": "Trailing point",
};

export const GRIND_WORDS: Record<Grind["kind"], string> = {
  none: "Not ground",
  "full-flat": "Full flat",
  "partial-flat": "Partial flat",
  hollow: "Hollow",
  convex: "Convex",
  "single-bevel": "Single bevel",
  diamond: "Double edge, flat (diamond)",
  lens: "Double edge, convex (lens)",
  "double-hollow": "Double edge, hollow",
};
