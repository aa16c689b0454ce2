import type { Page } from "@/core/exchange/paper/page";
import type { SheetKind } from "@/words/sheets";
import { certificatePages, customerPages } from "./customer";
import { fitUpPages } from "./fitUp";
import { grindingPages } from "./grinding";
import { ownerPages } from "./owner";
import { PageBuilder, type SheetSource } from "./pageBuilder";
import { partsPages } from "./parts";
import { sheathPages } from "./sheath";
import { stencilPages } from "./stencil";
import { templatePages } from "./templates";
import { workPages } from "./work";

const MAKERS: Readonly<Record<SheetKind, (builder: PageBuilder) => Page[]>> = {
  templates: templatePages,
  grinding: grindingPages,
  "fit-up": fitUpPages,
  parts: partsPages,
  work: workPages,
  customer: customerPages,
  certificate: certificatePages,
  owner: ownerPages,
  stencil: stencilPages,
  sheath: sheathPages,
};

/** The sheets of a kind, of a knife that can be built. */
export const sheetPages = (kind: SheetKind, source: SheetSource): Page[] =>
  MAKERS[kind](new PageBuilder(source));
