import type { Page } from "@/core/exchange/paper/page";
import { correction, type PrinterScale } from "@/core/exchange/paper/paper";
import { fontFile } from "../kit/fonts";

/** Sheets as a PDF for a printer; the writer is loaded when it is asked for. */
export async function pdfOf(
  pages: readonly Page[],
  title: string,
  printer: PrinterScale,
): Promise<Uint8Array> {
  const { pdfFonts, writePdf } = await import("@/core/exchange/files/pdf/write");
  return writePdf(pages, { fonts: await pdfFonts(fontFile), title, correction: correction(printer) });
}
