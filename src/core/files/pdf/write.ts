import { jsPDF } from "jspdf";
import { PENS } from "../../paper/item";
import type { Page } from "../../paper/page";
import { corrected, mappedSteps, type Step, stepsOf } from "../../paper/strokes";

export interface PdfFonts {
  /** TrueType files of Barlow Regular and SemiBold. */
  readonly regular: Uint8Array;
  readonly bold: Uint8Array;
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
  for (const [style, bytes] of [
    ["normal", fonts.regular],
    ["bold", fonts.bold],
  ] as const) {
    doc.addFileToVFS(`Barlow-${style}.ttf`, base64(bytes));
    doc.addFont(`Barlow-${style}.ttf`, "Barlow", style);
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
      const at = to(item);
      doc.setFont("Barlow", item.bold ? "bold" : "normal");
      doc.setFontSize(item.sizeMm * POINTS_PER_MM);
      doc.setTextColor(0);
      doc.text(item.text, at.x, at.y, {
        align: item.anchor === "start" ? "left" : item.anchor === "end" ? "right" : "center",
      });
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
