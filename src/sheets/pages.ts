import type { Page } from "@/core/exchange/paper/page";
import { isDry } from "@/core/figures/fit/dry";
import type { Design } from "@/core/knife/design/schema";
import { SHEET_KINDS, type SheetKind } from "@/words/sheets";
import { certificatePages, customerPages } from "./customer";
import { fitUpPages } from "./fitUp";
import { grindingPages } from "./grinding";
import { ownerPages } from "./owner";
import { partsPages } from "./parts";
import { SheetMaker, type SheetSource } from "./sheet";
import { stencilPages } from "./stencil";
import { templatePages } from "./templates";

const MAKERS: Readonly<Record<SheetKind, (maker: SheetMaker) => Page[]>> = {
  templates: templatePages,
  grinding: grindingPages,
  "fit-up": fitUpPages,
  parts: partsPages,
  customer: customerPages,
  certificate: certificatePages,
  owner: ownerPages,
  stencil: stencilPages,
};

/** Sheets that only some knives have: those that come apart, and those with a mark on the blade. */
const ONLY_OF: Partial<Readonly<Record<SheetKind, (design: Design) => boolean>>> = {
  owner: isDry,
  stencil: (design) => design.blade.marks.length > 0,
};

/** The kinds of sheet that a knife has. */
export const sheetKindsOf = (design: Design): SheetKind[] =>
  SHEET_KINDS.filter((kind) => ONLY_OF[kind]?.(design) ?? true);

/** The sheets of a kind, of a knife that can be built. */
export const sheetPages = (kind: SheetKind, source: SheetSource): Page[] =>
  MAKERS[kind](new SheetMaker(source));
