import { strToU8, type Zippable, zipSync } from "fflate";
import { cuttables } from "@/core/exchange/cutting/cutJob";
import { AS_DRAWN } from "@/core/exchange/cutting/cutSettings";
import { drawingOf } from "@/core/exchange/cutting/cuttable";
import { stacked } from "@/core/exchange/cutting/place";
import { sheathCuttables } from "@/core/exchange/cutting/sheathCuttables";
import { writeCsv } from "@/core/exchange/files/csv/write";
import { DRAWING_FORMAT_IDS, DRAWING_FORMATS } from "@/core/exchange/files/drawings";
import { correction } from "@/core/exchange/paper/paper";
import { USUAL_SHEATH } from "@/core/sheath/settings";
import { SHEET_WORDS, type SheetKind } from "@/words/sheets";
import { fontFile } from "@/workers/fontFile";
import { sheetKindsOf, TABLE_KINDS } from "./kinds";
import type { SheetSource } from "./pageBuilder";
import { sheetPages } from "./pages";
import type { SheetsService } from "./sheets.messages";
import { tableOf } from "./tables";

/** Panels of a sheath in one file lie so far apart, mm. */
const PANELS_APART_MM = 8;

/** Sheets as a PDF for the printer; the writer is loaded when it is asked for. */
async function pdfOf(kind: SheetKind, source: SheetSource): Promise<Uint8Array> {
  const { pdfFonts, writePdf } = await import("@/core/exchange/files/pdf/write");
  return writePdf(sheetPages(kind, source), {
    fonts: await pdfFonts(fontFile),
    title: `${source.design.name}: ${SHEET_WORDS[kind].name}`,
    correction: correction(source.paper.printer),
  });
}

const csvOf: SheetsService["table"] = (kind, source, materials) =>
  writeCsv(tableOf(kind, { ...source, materials }));

/** What a worker of the pool answers with. */
export const sheetsService: SheetsService = {
  pages: sheetPages,
  pdf: pdfOf,
  table: csvOf,
  cut: (designs, settings) => designs.map((design) => cuttables(design, settings)),
  sheathFile: async ({ design, sheath }, format) => {
    const own = sheathCuttables(design, AS_DRAWN, sheath ?? USUAL_SHEATH).map((c) => c.layer);
    return (await DRAWING_FORMATS[format].write())({ layers: stacked(own, PANELS_APART_MM) });
  },
  pack: async (source, materials, more, tell) => {
    const { design } = source;
    const files: Zippable = { ...more };
    for (const kind of sheetKindsOf(design)) {
      tell(SHEET_WORDS[kind].name);
      files[`sheets/${kind}.pdf`] = await pdfOf(kind, source);
    }
    tell("Cutter's files");
    const pieces = [
      ...cuttables(design, AS_DRAWN),
      ...sheathCuttables(design, AS_DRAWN, source.sheath ?? USUAL_SHEATH),
    ];
    for (const id of DRAWING_FORMAT_IDS) {
      const write = await DRAWING_FORMATS[id].write();
      for (const piece of pieces) files[`cutters/${piece.name}.${id}`] = strToU8(write(drawingOf(piece)));
    }
    for (const kind of TABLE_KINDS) files[`tables/${kind}.csv`] = strToU8(csvOf(kind, source, materials));
    return zipSync(files, { level: 6 });
  },
};
