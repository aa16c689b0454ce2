import type { CutSettings } from "@/core/exchange/cutting/cutSettings";
import type { Cuttable } from "@/core/exchange/cutting/cuttable";
import type { DrawingFormatId } from "@/core/exchange/files/drawings";
import type { Page } from "@/core/exchange/paper/page";
import type { Design } from "@/core/knife/design/schema";
import type { Material } from "@/core/materials/types";
import type { SheetKind } from "@/words/sheets";
import type { TableKind } from "./kinds";
import type { SheetSource } from "./pageBuilder";

/** What a worker answers to of paper and cutters' files; of knives that can be built. */
export interface SheetsService {
  pages(kind: SheetKind, source: SheetSource): Page[];
  /** The same as a PDF for the printer of the source's paper. */
  pdf(kind: SheetKind, source: SheetSource): Promise<Uint8Array>;
  /** A table as CSV. */
  table(kind: TableKind, source: SheetSource, materials: readonly Material[]): string;
  /** What is cut of each knife, as it is cut. */
  cut(designs: readonly Design[], settings: CutSettings): Cuttable[][];
  /** The panels of its sheath in one cutter's file, side by side. */
  sheathFile(source: SheetSource, format: DrawingFormatId): Promise<string>;
  /**
   * Every sheet, cutter's file and table of a knife in one ZIP, with files that are there already; tells what it is at.
   */
  pack(
    source: SheetSource,
    materials: readonly Material[],
    more: Readonly<Record<string, Uint8Array>>,
    tell: (step: string) => void,
  ): Promise<Uint8Array>;
}
