import { jsPDF } from "jspdf";
import type { Point } from "../../../geometry/curve/bezier";
import { type Item, PENS } from "../../paper/item";
import { fontRuns, type PageFont } from "../../paper/letters";
import type { Page } from "../../paper/page";
import { corrected, mappedSteps, type Step, stepsOf } from "../../paper/strokes";
import { FONT_FILES } from "../font/fontFiles";
import { asSeen } from "../font/seenOrder";

/** TrueType files of the sheets' fonts, in regular and in bold. */
export type PdfFonts = Readonly<
  Record<PageFont, { readonly regular: Uint8Array; readonly bold: Uint8Array }>
>;

/** Those files, by whatever reads them by their names. */
export async function pdfFonts(read: (file: string) => Promise<Uint8Array>): Promise<PdfFonts> {
  const both = async ({ regular, bold }: { regular: string; bold: string }) => ({
    regular: await read(regular),
    bold: await read(bold),
  });
  return { own: await both(FONT_FILES.own), wider: await both(FONT_FILES.wider) };
}

export interface PdfOptions {
  readonly fonts: PdfFonts;
  readonly title: string;
  /** How much larger it is drawn, across and down, for a printer that prints smaller. */
  readonly correction: { readonly x: number; readonly y: number };
}

/** Points of type in a millimetre. */
const POINTS_PER_MM = 72 / 25.4;

const base64 = (bytes: Uint8Array): string => {
  let text = "";
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192));
  return btoa(text);
};

/** Sheets as a PDF file: lines and curves as such, its fonts inside it, each page the size of its paper. */
export function writePdf(pages: readonly Page[], { fonts, title, correction }: PdfOptions): Uint8Array {
  const [first] = pages;
  const format = (p: Page) => [p.widthMm, p.heightMm];
  const way = (p: Page) => (p.widthMm > p.heightMm ? "landscape" : "portrait");
  const doc = new jsPDF({
    unit: "mm",
    format: format(first),
    orientation: way(first),
    compress: true,
    putOnlyUsedFonts: true,
  });
  const written = pages.flatMap((p) => p.items.flatMap((i) => (i.kind === "text" ? [i] : [])));
  for (const font of ["own", "wider"] as const)
    for (const [style, bytes] of [
      ["normal", fonts[font].regular],
      ["bold", fonts[font].bold],
    ] as const) {
      // The wider one is large: it is read where something is written in it.
      const bold = style === "bold";
      const used = written.some(
        (t) => (t.bold ?? false) === bold && fontRuns(t.text, bold).some((r) => r.font === font),
      );
      if (!used) continue;
      doc.addFileToVFS(`${font}-${style}.ttf`, base64(bytes));
      doc.addFont(`${font}-${style}.ttf`, font, style);
    }
  doc.setProperties({ title, creator: "Euaxis" });
  // Printed at its own size unless someone says otherwise.
  doc.viewerPreferences({ PrintScaling: "None" });
  pages.forEach((page, i) => {
    if (i > 0) doc.addPage(format(page), way(page));
    drawPage(doc, page, correction);
  });
  return new Uint8Array(doc.output("arraybuffer"));
}

function drawPage(doc: jsPDF, page: Page, correction: PdfOptions["correction"]): void {
  const to = corrected(page, correction);
  doc.setLineCap("round");
  doc.setLineJoin("round");
  for (const item of page.items) {
    if (item.kind === "text") {
      drawText(doc, item, to(item));
      continue;
    }
    if (item.kind === "fill") {
      doc.setFillColor(item.tint);
      doc.path(mappedSteps(stepsOf(item), to).map(operation));
      doc.fillEvenOdd();
      continue;
    }
    const { widthMm, dashMm = [], grey = 0 } = PENS[item.pen];
    doc.setLineWidth(widthMm);
    doc.setLineDashPattern([...dashMm], 0);
    doc.setDrawColor(Math.round(grey * 255));
    doc.path(mappedSteps(stepsOf(item), to).map(operation));
    doc.stroke();
  }
}

type Written = Extract<Item, { kind: "text" }>;

/** Letters are put down as they are seen, from the left: their order is not for the library to change. */
const AS_SEEN = { isInputVisual: true, isOutputVisual: true, isInputRtl: false, isOutputRtl: false };

function drawText(doc: jsPDF, { text, sizeMm, anchor, bold = false }: Written, at: Point): void {
  doc.setFontSize(sizeMm * POINTS_PER_MM);
  doc.setTextColor(0);
  const runs = fontRuns(asSeen(text), bold).map((run) => {
    doc.setFont(run.font, bold ? "bold" : "normal");
    return { ...run, widthMm: doc.getTextWidth(run.text) };
  });
  const whole = runs.reduce((sum, r) => sum + r.widthMm, 0);
  let x = at.x - (anchor === "start" ? 0 : anchor === "end" ? whole : whole / 2);
  for (const run of runs) {
    doc.setFont(run.font, bold ? "bold" : "normal");
    doc.text(run.text, x, at.y, AS_SEEN);
    x += run.widthMm;
  }
}

function operation(step: Step) {
  switch (step[0]) {
    case "M":
      return { op: "m", c: [step[1].x, step[1].y] };
    case "L":
      return { op: "l", c: [step[1].x, step[1].y] };
    case "C":
      return { op: "c", c: [step[1].x, step[1].y, step[2].x, step[2].y, step[3].x, step[3].y] };
    case "Z":
      return { op: "h", c: [] };
  }
}
