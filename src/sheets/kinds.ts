import { isDry } from "@/core/figures/fit/dry";
import type { Design } from "@/core/knife/design/schema";
import { SHEET_KINDS, type SheetKind } from "@/words/sheets";

/** Sheets that only some knives have: those that come apart, and those with a mark on the blade. */
const ONLY_OF: Partial<Readonly<Record<SheetKind, (design: Design) => boolean>>> = {
  owner: isDry,
  stencil: (design) => design.blade.marks.length > 0,
};

/** The kinds of sheet that a knife has. */
export const sheetKindsOf = (design: Design): SheetKind[] =>
  SHEET_KINDS.filter((kind) => ONLY_OF[kind]?.(design) ?? true);

export const TABLE_KINDS = ["cut-list", "parts", "drills", "pins", "costs", "materials"] as const;

export type TableKind = (typeof TABLE_KINDS)[number];

export const TABLE_WORDS: Readonly<Record<TableKind, string>> = {
  "cut-list": "Cut list",
  parts: "Parts and weights",
  drills: "Drills",
  pins: "Pins and bolts",
  costs: "Costs",
  materials: "Materials",
};
