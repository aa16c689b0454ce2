import type { Page } from "@/core/paper/page";
import { correction, type PrinterScale } from "@/core/paper/paper";
import { fontFile } from "../fonts";

/** Sheets as a PDF for a printer; the writer is loaded when it is asked for. */
export async function pdfOf(
  pages: readonly Page[],
  title: string,
  printer: PrinterScale,
): Promise<Uint8Array> {
  const { pdfFonts, writePdf } = await import("@/core/files/pdf/write");
  return writePdf(pages, { fonts: await pdfFonts(fontFile), title, correction: correction(printer) });
}
