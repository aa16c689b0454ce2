import type { Page } from "@/core/paper/page";
import { correction, type PrinterScale } from "@/core/paper/paper";

async function font(name: string): Promise<Uint8Array> {
  const answer = await fetch(`/fonts/${name}`);
  if (!answer.ok) throw new Error(`the font ${name} could not be loaded`);
  return new Uint8Array(await answer.arrayBuffer());
}

/** Sheets as a PDF for a printer; the writer is loaded when it is asked for. */
export async function pdfOf(
  pages: readonly Page[],
  title: string,
  printer: PrinterScale,
): Promise<Uint8Array> {
  const { pdfFonts, writePdf } = await import("@/core/files/pdf/write");
  return writePdf(pages, { fonts: await pdfFonts(font), title, correction: correction(printer) });
}
