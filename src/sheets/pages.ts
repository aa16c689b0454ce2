import type { Design } from "@/core/design/schema";
import { isDry } from "@/core/fit/dry";
import type { Page } from "@/core/paper/page";
import { SHEET_KINDS, type SheetKind } from "@/words/sheets";
import { certificatePages, customerPages } from "./customer";
import { fitUpPages } from "./fitUp";
import { grindingPages } from "./grinding";
import { ownerPages } from "./owner";
import { partsPages } from "./parts";
import { SheetMaker, type SheetSource } from "./sheet";
import { templatePages } from "./templates";

const MAKERS: Readonly<Record<SheetKind, (maker: SheetMaker) => Page[]>> = {
  templates: templatePages,
  grinding: grindingPages,
  "fit-up": fitUpPages,
  parts: partsPages,
  customer: customerPages,
  certificate: certificatePages,
  owner: ownerPages,
};

/** The kinds of sheet that a knife has: one that does not come apart has no owner's card. */
export const sheetKindsOf = (design: Design): SheetKind[] =>
  SHEET_KINDS.filter((kind) => kind !== "owner" || isDry(design));

/** The sheets of a kind, of a knife that can be built. */
export const sheetPages = (kind: SheetKind, source: SheetSource): Page[] =>
  MAKERS[kind](new SheetMaker(source));
