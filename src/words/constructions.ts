import type { NUT_STYLES } from "@/core/kinds/tangEnds/nutted";
import type { ButtForm } from "@/core/knife/design/butts";
import type { GuardForm } from "@/core/knife/design/guards";
import type { BlockHole, Design, FullTang, TangHole } from "@/core/knife/design/schema";

export const TANG_WORDS: Record<Design["tang"]["kind"], string> = {
  full: "Full slab",
  hidden: "Hidden, in a block",
  framed: "Hidden, in a frame",
};

export const PURPOSE_WORDS: Record<TangHole["purpose"], string> = {
  lighten: "To lighten",
  key: "To key the glue",
  "old-pin": "An old pin's",
};

export const SHORT_WORDS: Record<NonNullable<FullTang["short"]>["behind"], string> = {
  filler: "A filler",
  weld: "A piece welded on",
};

export const RECESS_WORDS: Record<NonNullable<FullTang["recess"]>["floor"], string> = {
  flat: "Flat",
  hollow: "Hollowed across",
};

export const NUT_WORDS: Record<(typeof NUT_STYLES)[number], string> = {
  hex: "Hex",
  round: "Round",
  domed: "Domed cap",
};

export const HOLE_WORDS: Record<BlockHole["kind"], string> = {
  broached: "Broached to fit",
  drilled: "Drilled",
  milled: "Milled",
  burned: "Burned in",
};

export const GUARD_FORM_WORDS: Record<GuardForm, string> = {
  oval: "Oval plate",
  straight: "Straight plate",
  "single-quillon": "One quillon, below",
  "double-quillon": "Two quillons",
  "s-curve": "S-curve",
  "lower-lug": "Lower lug",
  disc: "Disc",
  "finger-notch": "Notched for the finger",
};

export const BUTT_WORDS: Record<ButtForm, string> = {
  rounded: "Rounded",
  "birds-head": "Bird's head",
  hooked: "Hooked",
  fishtail: "Fishtail",
};

/** How many flats go round a section. */
export const FACET_WORDS: Readonly<Record<string, string>> = {
  none: "Rounded",
  "6": "6 facets",
  "8": "8 facets",
  "12": "12 facets",
  "16": "16 facets",
};
